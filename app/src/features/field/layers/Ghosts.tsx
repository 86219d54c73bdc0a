import { type Shot, type Travel } from '@humble/core';
import {
  betweenOn,
  type GhostChoice,
  ghostFrames,
  partsOn,
  ringsPath,
  SILHOUETTE_UNITS,
  silhouettePath,
} from '@humble/core/views';
import { memo, useState } from 'react';
import { G } from 'react-native-svg';
import { currentFrame, isPlaying } from '../../../playback/playhead';
import type { RootState } from '../../../store/store';
import { colour } from '../../../ui/colour';
import { usePixel } from '../../../render/pixel';
import { LivePath } from '../../../playback/liveShapes';
import { drawnFrames, framesAreLate, redrawSoon } from '../../../render/frameScheduler';
import { currentPointerScene } from '../pointerScene';
import { type ArcGroup, travelsOfGroup } from './arcGroups';
import { FADES, ghostStep, strengthOf } from './ghostSteps';
import { selectShot } from '../../../store/selectors/active';

const STEPS = Array.from({ length: FADES }, (_, step) => FADES - 1 - step);

interface GhostSide {
  readonly travel: Travel;
  readonly standsOn: readonly number[];
}

/** Silhouettes as they were worked out, by travel and frame: of several figures a drag changes one. */
const silhouettes = new WeakMap<Travel, Map<number, string>>();

function silhouetteOn(travel: Travel, frame: number): string {
  let known = silhouettes.get(travel);
  if (!known) silhouettes.set(travel, (known = new Map()));
  let path = known.get(frame);
  if (path === undefined) {
    const between = betweenOn(travel, frame);
    path = partsOn(travel, frame - 1)
      .map(({ look, placement, rider }) =>
        between && rider === null && between.rings.length > 0
          ? ringsPath(between.rings, placement)
          : silhouettePath(look, placement),
      )
      .join('');
    known.set(frame, path);
  }
  return path;
}

const silhouettesOf = ({ travel, standsOn }: GhostSide, step: number): string =>
  standsOn
    .filter((frame, i) => ghostStep(i, standsOn.length, travel.tracks.opacity[frame - 1]! / 100) === step)
    .map((frame) => silhouetteOn(travel, frame))
    .join('');

/** Paths in the order they are drawn: those after the playhead, then those before, the faintest first. */
type GhostPaths = readonly string[];

const NO_GHOSTS: GhostPaths = Array.from({ length: 2 * FADES }, () => '');

/** Work on ghosts takes no more than this of a frame, milliseconds; the rest comes with the next. */
const GHOST_WORK_MS = 2;
/** While something is dragged they are worked on in one frame of so many; the rest are left to it alone. */
const TURNS = 2;
/** Where frames come late. */
const LATE_TURNS = 3;

interface GhostWork {
  readonly inputs: readonly unknown[];
  readonly tasks: readonly (() => void)[];
  done: number;
  readonly paths: () => GhostPaths;
}

function ghostWork(
  travels: readonly Travel[],
  shot: Shot,
  frame: number,
  ghosts: GhostChoice,
): Omit<GhostWork, 'inputs'> {
  const all = travels.map((travel) => ({ travel, ...ghostFrames(travel.move, shot, frame, ghosts) }));
  const pathOf = (side: 'before' | 'after', step: number): string =>
    all.map((one) => silhouettesOf({ travel: one.travel, standsOn: one[side] }, step)).join('');
  return {
    tasks: all.flatMap(({ travel, before, after }) =>
      [...before, ...after].map((at) => () => void silhouetteOn(travel, at)),
    ),
    done: 0,
    paths: () => [
      ...STEPS.map((step) => pathOf('after', step)),
      ...STEPS.map((step) => pathOf('before', step)),
    ],
  };
}

/**
 * Works ghosts out from the state. Hidden while the shot plays. Where there are many of them the work
 * is spread over some frames, and what was shown stays until it is done: a drag never waits for them.
 */
function ghostPaths(group: ArcGroup): (state: RootState) => GhostPaths {
  const travelsIn = travelsOfGroup(group);
  let shown = NO_GHOSTS;
  let shownFor: readonly unknown[] = [];
  let work: GhostWork | null = null;
  let workedAt = -1;
  return (state) => {
    const shot = selectShot(state);
    const { settings } = state;
    if (!shot || isPlaying() || !settings.showsGhosts) {
      work = null;
      shownFor = [];
      return (shown = NO_GHOSTS);
    }
    const travels = travelsIn(state);
    const wanted = [travels, shot.lengthFrames, currentFrame(), settings.ghosts];
    const isShown = wanted.every((input, i) => input === shownFor[i]);
    const rests =
      currentPointerScene().isDragging && drawnFrames() % (framesAreLate() ? LATE_TURNS : TURNS) !== 0;
    if (isShown || rests || workedAt === drawnFrames()) {
      if (rests && !isShown) redrawSoon();
      return shown;
    }
    workedAt = drawnFrames();
    work ??= { inputs: wanted, ...ghostWork(travels, shot, currentFrame(), settings.ghosts) };
    const until = performance.now() + GHOST_WORK_MS;
    while (work.done < work.tasks.length && performance.now() < until) work.tasks[work.done++]!();
    if (work.done === work.tasks.length) {
      shown = work.paths();
      shownFor = work.inputs;
      work = null;
    }
    redrawSoon();
    return shown;
  };
}

export const GhostsLayer = memo(function Ghosts({ group }: { readonly group: ArcGroup }) {
  const pixel = usePixel() * SILHOUETTE_UNITS;
  const [paths] = useState(() => ghostPaths(group));
  return (
    <G testID={group === 'active' ? 'ghosts' : 'other-ghosts'} scale={1 / SILHOUETTE_UNITS}>
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
