import type { Arc, ArcColour } from '@humble/core';
import { memo, useState } from 'react';
import { shallowEqual } from 'react-redux';
import { G } from 'react-native-svg';
import { useSettings } from '../../../store/hooks';
import type { RootState } from '../../../store/store';
import { ARC_TONES } from '../../../ui/arcColour';
import { colour } from '../../../ui/colour';
import { usePixel } from '../../../render/pixel';
import { LivePath } from '../../../playback/liveShapes';
import { ChosenStretch } from './ChosenStretch';
import { type ArcGroup, arcsOfGroup, travelsOfGroup } from './arcGroups';
import { linePath, trails } from './arcPaths';
import { TrailHalo, Trail } from './Trail';
import { Aids } from './Aids';
import { lruMemoize } from '@reduxjs/toolkit';
import { selectShot } from '../../../store/selectors/active';
import { useThrottledSelector } from '../../../store/throttled/hooks';

const lineOf =
  (id: string) =>
  (state: RootState): string => {
    const arc = selectShot(state)?.arcs.find((candidate) => candidate.id === id);
    return arc ? linePath(arc) : '';
  };

function guidesOf(group: ArcGroup) {
  const arcs = arcsOfGroup(group);
  const travels = travelsOfGroup(group);
  const trail = trails();
  const lines = lruMemoize((seen: readonly Arc[]) => seen.map(linePath).join(''));
  return {
    names: (state: RootState): string[] => arcs(state).map(({ id, colour: tone }) => `${tone} ${id}`),
    lines: (state: RootState): string => lines(arcs(state)),
    trail:
      (detail: keyof typeof trail, pixel: number) =>
      (state: RootState): readonly string[] => {
        const shot = selectShot(state);
        return shot ? trail[detail](travels(state), shot, pixel) : [];
      },
  };
}

/**
 * Arcs of a group, and the trail on them: a hairline across the arc for each exposure, some of them longer. All
 * have an outline in the contrary tone, drawn beneath all of them, so that they read on anything.
 */
export const Guides = memo(function Guides({ group }: { readonly group: ArcGroup }) {
  const pixel = usePixel();
  const [guides] = useState(() => guidesOf(group));
  const names = useThrottledSelector(guides.names, shallowEqual);
  const { showsTrail, guideStrength } = useSettings();
  const isActive = group === 'active';
  const trailIn = (detail: 'ticks' | 'bands') => guides.trail(detail, pixel);
  return (
    <G opacity={guideStrength} testID={isActive ? 'guides' : 'other-guides'}>
      {isActive && <ChosenStretch />}
      <LivePath
        path={guides.lines}
        fill="none"
        stroke={colour.field}
        strokeWidth={4.5 * pixel}
        strokeLinecap="round"
      />
      {showsTrail && <TrailHalo paths={trailIn('ticks')} />}
      {names.map((name) => {
        const [tone, id] = [name.slice(0, name.indexOf(' ')), name.slice(name.indexOf(' ') + 1)];
        return (
          <LivePath
            key={id}
            path={lineOf(id)}
            fill="none"
            stroke={ARC_TONES[tone as ArcColour]}
            strokeWidth={(isActive ? 2 : 1.25) * pixel}
            opacity={isActive ? 1 : 0.6}
            strokeLinecap="round"
            testID={isActive ? 'arc-line' : 'other-arc-line'}
          />
        );
      })}
      {isActive && <Aids />}
      {showsTrail && (
        <Trail
          ticks={trailIn('ticks')}
          bands={trailIn('bands')}
          testID={isActive ? 'trail' : 'other-trails'}
        />
      )}
    </G>
  );
});
