import {
  evaluate,
  ghostFrames,
  STAND_INS,
  type StandInName,
  standingPath,
  standInTransform,
  type Travel,
} from '@humble/core';
import { memo, useState } from 'react';
import { shallowEqual } from 'react-redux';
import { Circle, G, Path } from 'react-native-svg';
import { useAppSelector } from '../../../state/hooks';
import { currentFrame, isPlaying } from '../../../state/playhead';
import type { RootState } from '../../../state/store';
import { colour } from '../../../ui/colour';
import { LiveGroup, LivePath, redrawSoon, usePixel } from '../live';
import { visibleTravels } from './arcPaths';

/** Ghosts fade in this many steps; those of one step are one shape to draw. */
const FADES = 4;
const STEPS = Array.from({ length: FADES }, (_, step) => FADES - 1 - step);

const strengthOf = (fade: number): number => 0.85 - (0.6 * fade) / FADES;

/** The ghosts of one step of fading, as one shape; 0 is the nearest in time. */
function fadedPath({ figure, x, y, heading }: Travel, frames: readonly number[], fade: number): string {
  const standIn = STAND_INS[figure.artwork.standIn];
  const from = Math.round((fade * frames.length) / FADES);
  const until = Math.round(((fade + 1) * frames.length) / FADES);
  return frames
    .slice(from, until)
    .map((frame) => {
      const i = frame - 1;
      return standingPath(standIn, figure.height, { x: x[i]!, y: y[i]! }, heading[i]!);
    })
    .join('');
}

interface GhostPaths {
  readonly before: readonly string[];
  readonly after: readonly string[];
}

const NO_GHOSTS: GhostPaths = { before: [], after: [] };

/** Ghosts take no more than this share of the time while something is dragged. */
const GHOST_SHARE = 0.2;

/**
 * Works ghosts out from the state. They rest while the shot plays, and where there are many of them a drag
 * does not wait for each: what was shown stays until there is time again.
 */
function ghostPaths(): (state: RootState) => GhostPaths {
  let shown = NO_GHOSTS;
  let inputs: readonly unknown[] = [];
  let freeAt = 0;
  let later: ReturnType<typeof setTimeout> | undefined;
  return ({ shot: { present }, settings }) => {
    const { shot } = present;
    if (!shot || isPlaying() || !settings.showsGhosts) {
      inputs = [];
      return (shown = NO_GHOSTS);
    }
    const frame = currentFrame();
    const wanted = [shot, frame, settings.ghosts];
    if (wanted.every((input, i) => input === inputs[i])) return shown;
    const began = performance.now();
    clearTimeout(later);
    if (began < freeAt) {
      later = setTimeout(redrawSoon, freeAt - began);
      return shown;
    }
    const all = visibleTravels(shot).map((travel) => ({
      travel,
      ...ghostFrames(travel.move, shot, frame, settings.ghosts),
    }));
    const faded = (side: 'before' | 'after'): string[] =>
      STEPS.map((fade) => all.map((one) => fadedPath(one.travel, one[side], fade)).join(''));
    shown = { before: faded('before'), after: faded('after') };
    inputs = wanted;
    const now = performance.now();
    freeAt = now + (now - began) * (1 / GHOST_SHARE - 1);
    return shown;
  };
}

/** The figure on other frames: cool outlines before, warm fills after. */
export const Ghosts = memo(function Ghosts() {
  const pixel = usePixel();
  const [paths] = useState(ghostPaths);
  return (
    <G testID="ghosts">
      {STEPS.map((fade, i) => (
        <LivePath
          key={fade}
          path={(state) => paths(state).after[i] ?? ''}
          fill={colour.warm}
          opacity={0.5 * strengthOf(fade)}
        />
      ))}
      {STEPS.map((fade, i) => (
        <LivePath
          key={fade}
          path={(state) => paths(state).before[i] ?? ''}
          fill="none"
          stroke={colour.cool}
          strokeWidth={1.25 * pixel}
          opacity={strengthOf(fade)}
        />
      ))}
    </G>
  );
});

const TONES = { ink: colour.ink, paper: colour.field, brass: colour.brass } as const;

const travelOf = (state: RootState, moveId: string): Travel | undefined => {
  const { shot } = state.shot.present;
  return shot ? evaluate(shot).travels.find(({ move }) => move.id === moveId) : undefined;
};

/** The frame that is seen at the playhead. */
const seenFrame = ({ shown }: Travel): number => shown[Math.min(currentFrame(), shown.length) - 1]!;

/** The transform that puts a figure where it stands at the playhead. */
function standing(travel: Travel | undefined): string {
  if (!travel) return '';
  const { figure, x, y, heading } = travel;
  const i = seenFrame(travel) - 1;
  return standInTransform(
    STAND_INS[figure.artwork.standIn],
    figure.height,
    { x: x[i]!, y: y[i]! },
    heading[i]!,
  );
}

function pivot(travel: Travel | undefined): string {
  if (!travel) return '';
  const i = seenFrame(travel) - 1;
  return `translate(${travel.x[i]!} ${travel.y[i]!})`;
}

/** Each move as “id stand-in height”. */
const figureNames = ({ shot }: RootState): string[] => {
  const { figures = [], moves = [] } = shot.present.shot ?? {};
  return moves.map(({ id, figureId }) => {
    const figure = figures.find((candidate) => candidate.id === figureId);
    return `${figure?.artwork.standIn ?? 'peg'} ${figure?.height ?? 1} ${id}`;
  });
};

/** All figures where they are seen at the playhead, with their pivots. */
export const FiguresAtPlayhead = memo(function FiguresAtPlayhead() {
  const names = useAppSelector(figureNames, shallowEqual);
  return names.map((name) => {
    const [standIn, height] = name.split(' ', 2);
    const moveId = name.slice(standIn!.length + height!.length + 2);
    return (
      <FigureAtPlayhead
        key={moveId}
        moveId={moveId}
        standIn={standIn as StandInName}
        height={Number(height)}
      />
    );
  });
});

interface FigureProps {
  readonly moveId: string;
  readonly standIn: StandInName;
  readonly height: number;
}

function FigureAtPlayhead({ moveId, standIn, height }: FigureProps) {
  const pixel = usePixel();
  const { silhouette, details, height: drawnHeight } = STAND_INS[standIn];
  // An outline of an even width, in units of the stand-in's own drawing.
  const outline = (1.5 * pixel * drawnHeight) / height;
  return (
    <G>
      <LiveGroup place={(state) => standing(travelOf(state, moveId))} testID="figure">
        <Path d={silhouette} fill={colour.ink} stroke={colour.field} strokeWidth={outline} />
        {details.map(({ d, tone }) => (
          <Path key={d} d={d} fill={TONES[tone]} />
        ))}
      </LiveGroup>
      <LiveGroup place={(state) => pivot(travelOf(state, moveId))}>
        <Circle r={3.5 * pixel} fill={colour.brass} stroke={colour.field} strokeWidth={1.25 * pixel} />
      </LiveGroup>
    </G>
  );
}
