import type { ArcColour } from '@humble/core';
import { memo, useState } from 'react';
import { shallowEqual } from 'react-redux';
import { G } from 'react-native-svg';
import { activeArcIn, useThrottledSelector, useSettings } from '../../../store/hooks';
import type { RootState } from '../../../store/store';
import { ARC_TONES } from '../../../ui/arcColour';
import { colour } from '../../../ui/colour';
import { LivePath, usePixel } from '../../../render/livePaths';
import { ChosenStretch } from './ChosenStretch';
import { linePath, trails, visibleArcs } from './arcPaths';
import { linesOfAll } from './ArcLines';
import { TrailHalo, Trail } from './Trail';
import { Aids } from './Aids';
import { shotIn } from './shotIn';

/** Arcs to be seen, as “colour id” with the active one last, on top. */
const arcNames = (state: RootState): string[] => {
  const shot = shotIn(state);
  const active = activeArcIn(state);
  if (!shot) return [];
  const seen = visibleArcs(shot);
  return [...seen.filter((arc) => arc !== active), ...seen.filter((arc) => arc === active)].map(
    ({ id, colour: tone }) => `${tone} ${id}`,
  );
};

/** Path data of one arc, found by its id. */
const lineOf =
  (id: string) =>
  (state: RootState): string => {
    const arc = shotIn(state)?.arcs.find((candidate) => candidate.id === id);
    return arc ? linePath(arc) : '';
  };

/**
 * Arcs, and the trail on them: a hairline across the arc for each exposure, some of them longer. All
 * have an outline in the contrary tone, drawn beneath all of them, so that they read on anything.
 */
export const Guides = memo(function Guides() {
  const pixel = usePixel();
  const names = useThrottledSelector(arcNames, shallowEqual);
  const activeId = useThrottledSelector((state) => activeArcIn(state)?.id);
  const { showsTrail, guideStrength } = useSettings();
  const [trail] = useState(trails);
  const trailIn =
    (detail: keyof typeof trail) =>
    (state: RootState): readonly string[] => {
      const shot = shotIn(state);
      return shot ? trail[detail](shot, state.editor.soloFigureId, pixel) : [];
    };
  return (
    <G opacity={guideStrength} testID="guides">
      <ChosenStretch />
      <LivePath
        path={linesOfAll}
        fill="none"
        stroke={colour.field}
        strokeWidth={4.5 * pixel}
        strokeLinecap="round"
      />
      {showsTrail && <TrailHalo paths={trailIn('ticks')} />}
      {names.map((name) => {
        const [tone, id] = [name.slice(0, name.indexOf(' ')), name.slice(name.indexOf(' ') + 1)];
        const isActive = id === activeId;
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
      <Aids />
      {showsTrail && <Trail ticks={trailIn('ticks')} bands={trailIn('bands')} />}
    </G>
  );
});
