import type { Figure, Move, Shot } from '../model/schema';
import { firstFrame, lastFrame } from '../timing/placeInTime';
import { TRACKS } from '../timing/tracks';
import { valuesOnFrames } from '../timing/tracks/trackValues';
import { drawingCount, drawingOn } from './drawings';
import { drawnThroughOn, drawnThroughSpans } from './drawnThrough';
import { beginsExposure, type Exposure, exposuresOf } from './exposures';

type Reading = (frame: number) => number;

const clamp = (value: number, least: number, most: number): number => Math.min(most, Math.max(least, value));

function trackReadings({ tracks, sizesApart }: Move, lengthFrames: number): Reading[] {
  const changing = TRACKS.filter(
    ({ name }) => tracks[name].length > 1 && (name !== 'sizeDown' || sizesApart),
  );
  if (changing.length === 0) return [];
  const values = valuesOnFrames(tracks, lengthFrames);
  return changing.map(
    ({ name }) =>
      (f) =>
        values[name][f - 1]!,
  );
}

function drawingReadings({ riders, drawings, cycle }: Move, figure: Figure, lastFrame: number): Reading[] {
  const parts = [
    { figure, move: { drawings, cycle } },
    ...riders
      .filter(({ hidden }) => !hidden)
      .map((rider) => ({ figure: rider, move: { drawings: [], cycle } })),
  ];
  // Where the figure keeps its place, so does a cycle that follows the distance, wherever that is.
  return parts
    .filter((part) => drawingCount(part.figure) > 1)
    .map((part) => (f) => drawingOn({ ...part, distanceOn: () => 0, lastFrame }, f));
}

const smoothedReach = ({ smoothFrames, cornerFrames, lean }: Move): number =>
  Math.ceil(Math.max(smoothFrames, cornerFrames, lean.by === 'none' ? 0 : lean.smoothFrames) / 2);

/** All that can change before the first mark of a move and after its last one, where the figure keeps its place. */
function readingsOf(move: Move, figure: Figure, lengthFrames: number): Reading[] {
  const [first, last] = [firstFrame(move), lastFrame(move)];
  const readings = [
    ...trackReadings(move, lengthFrames),
    ...drawingReadings(move, figure, lengthFrames),
    ...move.riders.flatMap(({ follows, hidden }): Reading[] =>
      hidden || follows.by === 'distance' || follows.frames === 0
        ? []
        : [(f) => clamp(f - follows.frames, first, last)],
    ),
  ];
  // A shake is another one on each frame, as long as it lasts.
  for (const { from, fadeFrames } of move.shakes)
    readings.push((f) => (f >= from && (fadeFrames === 0 || f < from + fadeFrames) ? f : 0));
  // An in-between is another one on each frame.
  if (drawnThroughSpans(move).length > 0) readings.push((f) => (drawnThroughOn(move, f) ? f : 0));
  const reach = smoothedReach(move);
  if (reach > 0) readings.push((f) => clamp(f, first - reach, last + reach));
  const byHand = move.overrides.filter(({ frame }) => frame < first || frame > last);
  if (byHand.length > 0) readings.push((f) => byHand.findIndex(({ frame }) => frame === f));
  return readings;
}

function changingFrames(frames: readonly number[], readings: readonly Reading[]): number[] {
  const changing: number[] = [];
  let before: readonly number[] = [];
  for (const [i, frame] of frames.entries()) {
    const now = readings.map((reading) => reading(frame));
    if (i > 0 && now.every((value, k) => value === before[k])) continue;
    changing.push(frame);
    before = now;
  }
  return changing;
}

function countedFrames(move: Move, from: number, until: number): number[] {
  const left = new Set(move.skips.filter(({ cut }) => cut === null).map(({ frame }) => frame));
  const frames: number[] = [];
  for (let f = from; f <= until; f++) if (beginsExposure(move, f) && !left.has(f)) frames.push(f);
  return frames;
}

interface Shown {
  readonly exposures: readonly Exposure[];
  readonly shown: Int32Array;
}

interface Known extends Shown {
  readonly on: readonly unknown[];
}

const knownOfMove = new WeakMap<Move, Known>();
const latestOfRanges = new WeakMap<Move['exposures'], Known>();

function work(move: Move, figure: Figure, lengthFrames: number): Shown {
  const own = exposuresOf(move, { lengthFrames });
  const [first, last] = [own[0]!.frame, own[own.length - 1]!.frame];
  const hasMoreAfter = move.after === 'hold' && last < lengthFrames;
  const readings = first > 1 || hasMoreAfter ? readingsOf(move, figure, lengthFrames) : [];
  const before =
    first > 1
      ? changingFrames([1, ...(readings.length > 0 ? countedFrames(move, 2, first - 1) : [])], readings)
      : [];
  const after =
    hasMoreAfter && readings.length > 0
      ? changingFrames([last, ...countedFrames(move, last + 1, lengthFrames)], readings).slice(1)
      : [];
  const frames = [...before, ...own.map(({ frame }) => frame), ...after];
  const shown = new Int32Array(lengthFrames);
  const exposures =
    frames.length === own.length
      ? own
      : frames.map((frame, i) => ({ frame, framesHeld: (frames[i + 1] ?? lengthFrames + 1) - frame }));
  for (const { frame, framesHeld } of exposures) shown.fill(frame, frame - 1, frame - 1 + framesHeld);
  return { exposures, shown };
}

const isSame = (a: Shown, b: Shown): boolean =>
  a.shown.length === b.shown.length && a.shown.every((frame, i) => frame === b.shown[i]);

function shownOf(move: Move, figure: Figure, lengthFrames: number): Known {
  const { tracks, drawings, cycle, riders, overrides, lean, smoothFrames, cornerFrames } = move;
  const on = [
    exposuresOf(move, { lengthFrames }),
    lengthFrames,
    firstFrame(move),
    lastFrame(move),
    figure.artwork,
    ...[tracks, drawings, cycle, riders, overrides, lean, smoothFrames, cornerFrames],
    ...[move.sizesApart, move.shakes],
  ];
  const latest = latestOfRanges.get(move.exposures);
  const found = [knownOfMove.get(move), latest].find((one) => one?.on.every((input, i) => input === on[i]));
  if (found) {
    knownOfMove.set(move, found);
    return found;
  }
  const worked = work(move, figure, lengthFrames);
  // The same object says that nothing has changed.
  const known = {
    on,
    ...(latest && isSame(latest, worked) ? { exposures: latest.exposures, shown: latest.shown } : worked),
  };
  knownOfMove.set(move, known);
  latestOfRanges.set(move.exposures, known);
  return known;
}

const figureOf = ({ figureId }: Move, { figures }: Pick<Shot, 'figures'>): Figure =>
  figures.find(({ id }) => id === figureId)!;

/**
 * All pictures of a move's figure through its shot, each held until the next; every frame belongs to one. Between the
 * first and the last mark they are the move's own exposures. Before and after, where the figure keeps its place, one
 * begins on each counted frame on which something else changes: a key, a drawing, a part that comes later or sooner.
 */
export const shownExposures = (
  move: Move,
  shot: Pick<Shot, 'lengthFrames' | 'figures'>,
): readonly Exposure[] => shownOf(move, figureOf(move, shot), shot.lengthFrames).exposures;

/** The frame whose picture is seen on each frame of a shot: the first of its exposure. Index 0 is frame 1. */
export const shownFrames = (move: Move, figure: Figure, lengthFrames: number): Int32Array =>
  shownOf(move, figure, lengthFrames).shown;

export function shownFrame(move: Move, shot: Pick<Shot, 'lengthFrames' | 'figures'>, f: number): number {
  const shown = shownFrames(move, figureOf(move, shot), shot.lengthFrames);
  return shown[clamp(f, 1, shot.lengthFrames) - 1]!;
}
