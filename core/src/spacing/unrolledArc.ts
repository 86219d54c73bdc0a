import type { Move, Shot } from '../shot/schema';
import { incrementTable } from './increments';
import { isFifth } from './ticks';

/** A mark, or two neighbouring ones between which the figure holds, as a post on the ruler. */
export interface Post {
  readonly frame: number;
  /** Last frame of the hold; the same as `frame` when there is none. */
  readonly untilFrame: number;
  readonly place: number;
  readonly kind: 'stop' | 'pass';
}

/** A position of the figure on the ruler. */
export interface RulerTick {
  readonly frame: number;
  readonly place: number;
  /** Increment from the tick before, signed; null for the first. */
  readonly along: number | null;
  /** As on the field: see `Tick`. */
  readonly isFifth: boolean;
}

/** The arc laid out straight as a ruler. Places in the units of the shot's sheet. */
export interface UnrolledArc {
  readonly units: 'field' | 'mm';
  /** What the ruler has to show: the whole arc, and any laps beyond it. */
  readonly from: number;
  readonly to: number;
  readonly ticks: readonly RulerTick[];
  /** As many ticks at constant speed, for comparison; none for a move that turns back on the way. */
  readonly even: readonly number[];
  readonly posts: readonly Post[];
}

function postsOf(move: Move, length: number): Post[] {
  const posts: Post[] = [];
  for (const { frame, fraction, kind } of move.marks) {
    const place = fraction * length;
    const before = posts[posts.length - 1];
    if (before && before.place === place) posts[posts.length - 1] = { ...before, untilFrame: frame };
    else posts.push({ frame, untilFrame: frame, place, kind });
  }
  return posts;
}

/** What the ruler shows of a move. */
export function unrolledArc(shot: Shot, move: Move): UnrolledArc {
  const { rows, units, arcLength } = incrementTable(shot, move);
  const places = rows.map((row) => row.place);
  const first = places[0]!;
  const last = places[places.length - 1]!;
  const steps = rows.map((row) => row.along ?? 0);
  const turnsBack = steps.some((step) => step > 0) && steps.some((step) => step < 0);
  return {
    units,
    from: Math.min(0, ...places),
    to: Math.max(arcLength, ...places),
    ticks: rows.map(({ frame, place, along }, index) => ({
      frame,
      place,
      along,
      isFifth: isFifth(move, frame, index),
    })),
    even: turnsBack
      ? []
      : places.map((_, i) => first + ((last - first) * i) / Math.max(1, places.length - 1)),
    posts: postsOf(move, arcLength),
  };
}
