import { ghostFrames, STAND_INS, type Shot, standInTransform, type Travel } from '@humble/core';
import { memo } from 'react';
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

/** Ghosts fade with their distance from the figure, nearest first. */
const faded = (index: number, count: number): number => 0.85 - 0.6 * (index / Math.max(1, count));

/** The figure on other frames: cool outlines before, warm fills after. They rest while the shot plays. */
export const Ghosts = memo(function Ghosts({ travel, shot, pixel }: TravelProps & { readonly shot: Shot }) {
  const frame = useFrame();
  const isPlaying = useIsPlaying();
  const { ghosts, showsGhosts } = useSettings();
  if (isPlaying || !showsGhosts) return null;
  const { before, after } = ghostFrames(travel.move, shot, frame, ghosts);
  const { silhouette } = STAND_INS[travel.figure.artwork.standIn];
  const line = 1.25 * drawnPixel(travel, pixel);
  return (
    <G testID="ghosts">
      {after.toReversed().map((ghost, i) => (
        <Path
          key={`a${ghost}`}
          d={silhouette}
          transform={standing(travel, ghost)}
          fill={colour.warm}
          opacity={0.5 * faded(after.length - 1 - i, after.length)}
        />
      ))}
      {before.toReversed().map((ghost, i) => (
        <Path
          key={`b${ghost}`}
          d={silhouette}
          transform={standing(travel, ghost)}
          fill="none"
          stroke={colour.cool}
          strokeWidth={line}
          opacity={faded(before.length - 1 - i, before.length)}
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
