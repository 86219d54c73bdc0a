import { type ExposureRange, type FramesHeld, type Move, type Shot } from '../model/schema';
import { firstFrame, lastFrame } from '../timing/placeInTime';

/** One drawing or one placement, and the frames it is held for. */
export interface Exposure {
  readonly frame: number;
  readonly framesHeld: number;
}

type Timing = Pick<Move, 'marks' | 'before' | 'after' | 'framesHeld' | 'exposures' | 'skips'>;

function rangeBefore({ exposures }: Pick<Move, 'exposures'>, f: number): ExposureRange | undefined {
  let low = 0;
  let high = exposures.length;
  while (low < high) {
    const middle = (low + high) >> 1;
    if (exposures[middle]!.from <= f) low = middle + 1;
    else high = middle;
  }
  return exposures[low - 1];
}

function countedFrom(move: Timing, f: number): { readonly anchor: number; readonly framesHeld: FramesHeld } {
  const first = firstFrame(move);
  const range = rangeBefore(move, f);
  if (!range) return { anchor: first, framesHeld: move.framesHeld };
  return f <= range.until
    ? { anchor: range.from, framesHeld: range.framesHeld }
    : { anchor: Math.max(first, range.until + 1), framesHeld: move.framesHeld };
}

export function beginsExposure(move: Timing, f: number): boolean {
  const { anchor, framesHeld } = countedFrom(move, f);
  return (f - anchor) % framesHeld === 0;
}

/**
 * The frames on which a move's exposures begin, those that are skipped among them: from its first frame to
 * the first one on or after its last mark; through the whole shot where it goes on outside its marks.
 * A range with another exposure begins with one, and so does what follows it.
 */
export function exposureFrames(move: Timing, lengthFrames: number): number[] {
  const from = move.before === 'hold' ? firstFrame(move) : 1;
  const last = move.after === 'hold' ? lastFrame(move) : Infinity;
  const frames: number[] = [];
  for (let f = from; f <= lengthFrames; f++) {
    if (f !== from && !beginsExposure(move, f)) continue;
    frames.push(f);
    if (f >= last) break;
  }
  return frames;
}

/** Whether the exposure that begins on a frame is left out, its frames staying. */
export const isSkipped = (move: Pick<Move, 'skips'>, f: number): boolean =>
  move.skips.some(({ frame, cut }) => frame === f && cut === null);

interface Known {
  readonly on: readonly unknown[];
  readonly exposures: readonly Exposure[];
}

const knownOfMove = new WeakMap<Timing, Known>();
const latestOfRanges = new WeakMap<Timing['exposures'], Known>();

function expose(move: Timing, lengthFrames: number): Known {
  const { framesHeld, skips, before, after } = move;
  const on = [lengthFrames, framesHeld, skips, before, after, firstFrame(move), lastFrame(move)];
  const found = [knownOfMove.get(move), latestOfRanges.get(move.exposures)].find((one) =>
    one?.on.every((input, i) => input === on[i]),
  );
  const exposed = found ?? { on, exposures: exposedOn(move, lengthFrames) };
  knownOfMove.set(move, exposed);
  latestOfRanges.set(move.exposures, exposed);
  return exposed;
}

export function exposedFrames(move: Timing, lengthFrames: number): number[] {
  const left = new Set(move.skips.filter(({ cut }) => cut === null).map(({ frame }) => frame));
  return exposureFrames(move, lengthFrames).filter((f, i) => i === 0 || !left.has(f));
}

function exposedOn(move: Timing, lengthFrames: number): readonly Exposure[] {
  const frames = exposedFrames(move, lengthFrames);
  return frames.map((frame, i) => ({ frame, framesHeld: (frames[i + 1] ?? lengthFrames + 1) - frame }));
}

/**
 * The exposures of a move while it travels: what is drawn or placed, each held until the next one, the last one to the
 * end of the shot. What else is seen of its figure before and after: see `shownExposures`. When the last mark falls between exposures and no later one is left in the shot, the
 * arrival is never shown (see `arrivalShown`). Remembered until something changes that they depend on: the
 * same object then says that no exposure has.
 */
export const exposuresOf = (
  move: Timing,
  { lengthFrames }: Pick<Shot, 'lengthFrames'>,
): readonly Exposure[] => expose(move, lengthFrames).exposures;

/** Whether a move ends one frame past its shot: round a closed arc it is back where it began then. */
export const endsPastShot = (move: Timing, { lengthFrames }: Pick<Shot, 'lengthFrames'>): boolean =>
  lastFrame(move) > lengthFrames;

/** The frame on which the end of the move is first seen; null when the shot ends before it is. */
export function arrivalShown(move: Timing, shot: Pick<Shot, 'lengthFrames'>): number | null {
  const last = lastFrame(move);
  return exposuresOf(move, shot).find(({ frame }) => frame >= last)?.frame ?? null;
}

export function marksBetweenExposures(move: Timing, shot: Pick<Shot, 'lengthFrames'>): number[] {
  const frames = new Set(exposuresOf(move, shot).map(({ frame }) => frame));
  return move.marks
    .slice(0, -1)
    .map(({ frame }) => frame)
    .filter((frame) => !frames.has(frame));
}
