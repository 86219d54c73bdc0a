import { type ArcColour, evaluate, ticksOf } from '@humble/core';
import { memo, useState } from 'react';
import { shallowEqual } from 'react-redux';
import { G, Text } from 'react-native-svg';
import { activeArcIn, useThrottledSelector, useSettings } from '../../../state/hooks';
import type { RootState } from '../../../state/store';
import { ARC_TONES } from '../../../ui/arcColour';
import { colour } from '../../../ui/colour';
import { MONO } from '../../../ui/fonts';
import { LiveGroup, LivePath, ChunkedLivePath, usePixel } from '../../../state/live';
import { ChosenStretch } from './Timed';
import { arrowsPath, combPath, linePath, trails, visibleArcs, visibleTravels } from './arcPaths';
import { NUMBER_AWAY_PX, NUMBER_SIZE_PX, numbered } from './numbered';

const shotIn = (state: RootState) => state.shot.present.shot;

/** Arcs to be seen, as “id colour” with the active one last, on top. */
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

const linesOfAll = (state: RootState): string => {
  const shot = shotIn(state);
  return shot ? visibleArcs(shot).map(linePath).join('') : '';
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
  const [trailsOf] = useState(trails);
  const trail = (state: RootState): readonly string[] => {
    const shot = shotIn(state);
    return shot ? trailsOf(shot, pixel) : [];
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
      {showsTrail && <TrailHalo paths={trail} />}
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
      {showsTrail && <Trail paths={trail} />}
    </G>
  );
});

/** All arcs alike, for the loupe. */
export function ArcLines() {
  const pixel = usePixel();
  return (
    <G>
      <LivePath path={linesOfAll} fill="none" stroke={colour.field} strokeWidth={4.5 * pixel} />
      <LivePath path={linesOfAll} fill="none" stroke={colour.indigo} strokeWidth={1.75 * pixel} />
    </G>
  );
}

interface TrailProps {
  readonly paths: (state: RootState) => readonly string[];
}

function TrailHalo({ paths }: TrailProps) {
  const pixel = usePixel();
  return <ChunkedLivePath paths={paths} fill="none" stroke={colour.field} strokeWidth={3 * pixel} />;
}

function Trail({ paths }: TrailProps) {
  const pixel = usePixel();
  return (
    <ChunkedLivePath
      paths={paths}
      fill="none"
      stroke={colour.indigo}
      strokeWidth={1.35 * pixel}
      testID="trail"
    />
  );
}

/** Which way the active arc runs, and how it bends. */
function Aids() {
  const { showsArrows, showsComb } = useSettings();
  const pixel = usePixel();
  const activeArc = (state: RootState) => {
    const arc = activeArcIn(state);
    return arc && !arc.hidden ? arc : null;
  };
  const arrows = (state: RootState): string => {
    const arc = activeArc(state);
    return arc ? arrowsPath(arc, pixel) : '';
  };
  const comb = (state: RootState): string => {
    const arc = activeArc(state);
    return arc ? combPath(arc, pixel) : '';
  };
  return (
    <G>
      {showsComb && (
        <LivePath
          path={comb}
          fill="none"
          stroke={colour.cool}
          strokeWidth={pixel}
          opacity={0.8}
          testID="comb"
        />
      )}
      {showsArrows && (
        <G testID="arrows">
          <LivePath path={arrows} fill="none" stroke={colour.field} strokeWidth={5 * pixel} />
          <LivePath path={arrows} fill="none" stroke={colour.indigo} strokeWidth={2 * pixel} />
        </G>
      )}
    </G>
  );
}

/** Which frame numbers there is room for, as “frame move”. */
const numberNames =
  (pixel: number) =>
  (state: RootState): string[] => {
    const shot = shotIn(state);
    if (!shot) return [];
    const ticks = visibleTravels(shot).flatMap((travel) =>
      ticksOf(travel, shot)
        .filter(({ isFifth }) => isFifth)
        .map((tick) => ({ ...tick, moveId: travel.move.id })),
    );
    return numbered(ticks, pixel).map(({ frame, moveId }) => `${frame} ${moveId}`);
  };

/** Frame numbers follow a drag; which of them there is room for is settled a few times a second. */
export const FrameNumbers = memo(function FrameNumbers() {
  const { showsTrail, showsNumbers, guideStrength } = useSettings();
  return showsTrail && showsNumbers ? (
    <G opacity={guideStrength}>
      <Numbers />
    </G>
  ) : null;
});

function Numbers() {
  const pixel = usePixel();
  const names = useThrottledSelector(numberNames(pixel), shallowEqual);
  return names.map((name) => {
    const frame = name.slice(0, name.indexOf(' '));
    return <FrameNumber key={name} frame={Number(frame)} moveId={name.slice(frame.length + 1)} />;
  });
}

const FrameNumber = memo(function FrameNumber({
  frame,
  moveId,
}: {
  readonly frame: number;
  readonly moveId: string;
}) {
  const pixel = usePixel();
  const place = (state: RootState): string => {
    const shot = shotIn(state);
    const travel = shot && evaluate(shot).travels.find(({ move }) => move.id === moveId);
    if (!travel || frame > travel.x.length) return '';
    const heading = (travel.direction[frame - 1]! * Math.PI) / 180;
    const away = NUMBER_AWAY_PX * pixel;
    const x = travel.x[frame - 1]! - Math.sin(heading) * away;
    const y = travel.y[frame - 1]! + Math.cos(heading) * away;
    return `translate(${x.toFixed(1)} ${y.toFixed(1)})`;
  };
  const type = {
    y: 4 * pixel,
    fontSize: NUMBER_SIZE_PX * pixel,
    fontFamily: MONO,
    textAnchor: 'middle',
  } as const;
  return (
    <LiveGroup place={place} isLazy>
      <Text {...type} fill={colour.field} stroke={colour.field} strokeWidth={3.5 * pixel}>
        {String(frame)}
      </Text>
      <Text {...type} fill={colour.ink}>
        {String(frame)}
      </Text>
    </LiveGroup>
  );
});
