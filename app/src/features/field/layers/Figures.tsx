import {
  evaluate,
  type GhostChoice,
  ghostFrames,
  type Shot,
  STAND_INS,
  type StandInName,
  standingPath,
  standInTransform,
  type Travel,
} from '@humble/core';
import { memo, useState } from 'react';
import { shallowEqual } from 'react-redux';
import { Circle, G, Path } from 'react-native-svg';
import { activeMoveIn, useThrottledSelector } from '../../../state/hooks';
import { currentFrame, isPlaying } from '../../../state/playhead';
import type { RootState } from '../../../state/store';
import { colour } from '../../../ui/colour';
import { LiveGroup, LivePath, drawnFrames, redrawSoon, usePixel } from '../../../state/live';
import { currentScene } from '../scene';
import { visibleTravels } from './arcPaths';

/** Ghosts fade in this many steps; those of one step are one shape to draw. */
const FADES = 4;
const STEPS = Array.from({ length: FADES }, (_, step) => FADES - 1 - step);

const strengthOf = (fade: number): number => 0.85 - (0.6 * fade) / FADES;

/** Ghosts of one side of the playhead and one step of fading, as one shape; fade 0 is the nearest in time. */
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

/** Paths in the order they are drawn: those after the playhead, then those before, the faintest first. */
type GhostPaths = readonly string[];

const NO_GHOSTS: GhostPaths = Array.from({ length: 2 * FADES }, () => '');

/** Work on ghosts takes no more than this of a frame, milliseconds; the rest comes with the next. */
const GHOST_WORK_MS = 2;

interface GhostWork {
  readonly inputs: readonly unknown[];
  readonly parts: readonly (() => string)[];
  readonly done: string[];
}

function ghostWork(shot: Shot, frame: number, ghosts: GhostChoice): GhostWork {
  const all = visibleTravels(shot).map((travel) => ({
    travel,
    ...ghostFrames(travel.move, shot, frame, ghosts),
  }));
  const part = (side: 'before' | 'after', fade: number) => () =>
    all.map((one) => fadedPath(one.travel, one[side], fade)).join('');
  return {
    inputs: [shot, frame, ghosts],
    parts: [...STEPS.map((fade) => part('after', fade)), ...STEPS.map((fade) => part('before', fade))],
    done: [],
  };
}

/**
 * Works ghosts out from the state. They rest while the shot plays. Where there are many of them the work
 * is spread over some frames, and what was shown stays until it is done: a drag never waits for them.
 */
function ghostPaths(): (state: RootState) => GhostPaths {
  let shown = NO_GHOSTS;
  let shownFor: readonly unknown[] = [];
  let work: GhostWork | null = null;
  let workedAt = -1;
  return ({ shot: { present }, settings }) => {
    const { shot } = present;
    if (!shot || isPlaying() || !settings.showsGhosts) {
      work = null;
      shownFor = [];
      return (shown = NO_GHOSTS);
    }
    const wanted = [shot, currentFrame(), settings.ghosts];
    const isShown = wanted.every((input, i) => input === shownFor[i]);
    // While something is dragged every other frame is left to it alone.
    const rests = currentScene().isDragging && drawnFrames() % 2 === 1;
    if (isShown || rests || workedAt === drawnFrames()) {
      if (rests && !isShown) redrawSoon();
      return shown;
    }
    workedAt = drawnFrames();
    work ??= ghostWork(shot, currentFrame(), settings.ghosts);
    const until = performance.now() + GHOST_WORK_MS;
    do work.done.push(work.parts[work.done.length]!());
    while (work.done.length < work.parts.length && performance.now() < until);
    if (work.done.length === work.parts.length) {
      shown = work.done;
      shownFor = work.inputs;
      work = null;
    }
    redrawSoon();
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
          path={(state) => paths(state)[i]!}
          fill={colour.warm}
          fillOpacity={0.5 * strengthOf(fade)}
        />
      ))}
      {STEPS.map((fade, i) => (
        <LivePath
          key={fade}
          path={(state) => paths(state)[FADES + i]!}
          fill="none"
          stroke={colour.cool}
          strokeWidth={1.25 * pixel}
          strokeOpacity={strengthOf(fade)}
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

/** What is acted out by hand does not play meanwhile: its outline goes with the hand. */
const isActedNow = (state: RootState, moveId: string): boolean =>
  currentScene().acting !== null && state.editor.actsFor === 'this' && activeMoveIn(state)?.id === moveId;

const NOWHERE = 'scale(0)';

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
  const names = useThrottledSelector(figureNames, shallowEqual);
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
      <LiveGroup
        place={(state) => (isActedNow(state, moveId) ? NOWHERE : standing(travelOf(state, moveId)))}
        testID="figure"
      >
        <Path d={silhouette} fill={colour.ink} stroke={colour.field} strokeWidth={outline} />
        {details.map(({ d, tone }) => (
          <Path key={d} d={d} fill={TONES[tone]} />
        ))}
      </LiveGroup>
      <LiveGroup place={(state) => (isActedNow(state, moveId) ? NOWHERE : pivot(travelOf(state, moveId)))}>
        <Circle r={3.5 * pixel} fill={colour.brass} stroke={colour.field} strokeWidth={1.25 * pixel} />
      </LiveGroup>
    </G>
  );
}
