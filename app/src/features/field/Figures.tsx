import { ghostFrames, STAND_INS, type Shot, standingPath, standInTransform, type Travel } from '@humble/core';
import { memo, useDeferredValue, useMemo } from 'react';
import { Circle, G, Path } from 'react-native-svg';
import { useFrame, useIsPlaying } from '../../state/playhead';
import { useSettings } from '../../state/hooks';
import { colour } from '../../ui/colour';

interface TravelProps {
  readonly travel: Travel;
  readonly pixel: number;
}

/** The transform that puts the figure where it stands on a frame. */
function standing({ figure, x, y, heading }: Travel, frame: number): string {
  const i = frame - 1;
  return standInTransform(
    STAND_INS[figure.artwork.standIn],
    figure.height,
    { x: x[i]!, y: y[i]! },
    heading[i]!,
  );
}

/** Pixels of the view in units of the stand-in's own drawing, for outlines of an even width. */
const drawnPixel = ({ figure }: Travel, pixel: number): number =>
  (pixel * STAND_INS[figure.artwork.standIn].height) / figure.height;

/** Ghosts fade in this many steps; those of one step are one shape to draw. */
const FADES = 4;

interface Faded {
  readonly d: string;
  readonly strength: number;
}

/** Ghosts in shapes of one strength each, the faintest and furthest first. */
function fadedPaths(travel: Travel, frames: readonly number[]): Faded[] {
  const { figure, x, y, heading } = travel;
  const standIn = STAND_INS[figure.artwork.standIn];
  const fades = Math.min(FADES, frames.length);
  return Array.from({ length: fades }, (_, step): Faded => {
    const fade = fades - 1 - step;
    const from = Math.round((fade * frames.length) / fades);
    const until = Math.round(((fade + 1) * frames.length) / fades);
    const d = frames
      .slice(from, until)
      .map((frame) =>
        standingPath(standIn, figure.height, { x: x[frame - 1]!, y: y[frame - 1]! }, heading[frame - 1]!),
      )
      .join('');
    return { d, strength: 0.85 - (0.6 * fade) / fades };
  });
}

/**
 * The figure on other frames: cool outlines before, warm fills after. They rest while the shot plays, and
 * a drag does not wait for them.
 */
export const Ghosts = memo(function Ghosts({
  travel: latest,
  shot: latestShot,
  pixel,
}: TravelProps & { readonly shot: Shot }) {
  const travel = useDeferredValue(latest);
  const shot = useDeferredValue(latestShot);
  const frame = useFrame();
  const isPlaying = useIsPlaying();
  const { ghosts, showsGhosts } = useSettings();
  const paths = useMemo(() => {
    if (isPlaying || !showsGhosts) return null;
    const { before, after } = ghostFrames(travel.move, shot, frame, ghosts);
    return { before: fadedPaths(travel, before), after: fadedPaths(travel, after) };
  }, [travel, shot, frame, ghosts, isPlaying, showsGhosts]);
  if (!paths) return null;
  return (
    <G testID="ghosts">
      {paths.after.map(({ d, strength }) => (
        <Path key={strength} d={d} fill={colour.warm} opacity={0.5 * strength} />
      ))}
      {paths.before.map(({ d, strength }) => (
        <Path
          key={strength}
          d={d}
          fill="none"
          stroke={colour.cool}
          strokeWidth={1.25 * pixel}
          opacity={strength}
        />
      ))}
    </G>
  );
});

const TONES = { ink: colour.ink, paper: colour.field, brass: colour.brass } as const;

/** The figure where it is seen at the playhead, and its pivot. */
export const FigureAtPlayhead = memo(function FigureAtPlayhead({ travel, pixel }: TravelProps) {
  const frame = useFrame();
  const seen = travel.shown[Math.min(frame, travel.shown.length) - 1]!;
  const { silhouette, details } = STAND_INS[travel.figure.artwork.standIn];
  return (
    <G>
      <G transform={standing(travel, seen)} testID="figure">
        <Path
          d={silhouette}
          fill={colour.ink}
          stroke={colour.field}
          strokeWidth={1.5 * drawnPixel(travel, pixel)}
        />
        {details.map(({ d, tone }) => (
          <Path key={d} d={d} fill={TONES[tone]} />
        ))}
      </G>
      <Circle
        cx={travel.x[seen - 1]}
        cy={travel.y[seen - 1]}
        r={3.5 * pixel}
        fill={colour.brass}
        stroke={colour.field}
        strokeWidth={1.25 * pixel}
      />
    </G>
  );
});
