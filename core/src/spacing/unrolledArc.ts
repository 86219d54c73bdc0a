import type { Move, Shot } from '../shot/schema';
import { incrementTable, type SkippedRow } from './increments';
import { isFifth } from './ticks';

/** A mark, or two neighbouring ones between which the figure holds, as a post on the ruler. */
export interface Post {
  readonly markIds: readonly string[];
  /** Frame of each of the marks. */
  readonly frames: readonly number[];
  readonly frame: number;
  /** Last frame of the hold; the same as `frame` when there is none. */
  readonly untilFrame: number;
  readonly place: number;
  readonly kind: 'stop' | 'pass';
  readonly label: string;
}

/** A position of the figure on the ruler. */
export interface RulerTick {
  readonly frame: number;
  readonly place: number;
  /** Increment from the tick before, signed; null for the first. */
  readonly along: number | null;
  /** As on the field: see `Tick`. */
  readonly isFifth: boolean;
  /** Put off the plan by hand. */
  readonly isByHand: boolean;
}

/** The arc laid out straight as a ruler. Places in the units of the shot's sheet. */
export interface UnrolledArc {
  readonly units: 'field' | 'mm';
  /** Length of the arc. */
  readonly length: number;
  /** What the ruler has to show: the whole arc, and any laps beyond it. */
  readonly from: number;
  readonly to: number;
  readonly ticks: readonly RulerTick[];
  /** Exposures that are left out, where they would have been. */
  readonly skipped: readonly SkippedRow[];
  /** As many ticks at constant speed, for comparison; none for a move that turns back on the way. */
  readonly even: readonly number[];
  readonly posts: readonly Post[];
}

function postsOf(move: Move, length: number): Post[] {
  const posts: Post[] = [];
  for (const { id, frame, fraction, kind, label } of move.marks) {
    const place = fraction * length;
    const before = posts[posts.length - 1];
    if (before && before.place === place)
      posts[posts.length - 1] = {
        ...before,
        markIds: [...before.markIds, id],
        frames: [...before.frames, frame],
        untilFrame: frame,
        label: before.label || label,
      };
    else posts.push({ markIds: [id], frames: [frame], frame, untilFrame: frame, place, kind, label });
  }
  return posts;
}

function build(shot: Shot, move: Move): UnrolledArc {
  const { rows, skipped, units, arcLength } = incrementTable(shot, move);
  const places = rows.map((row) => row.place);
  const posts = postsOf(move, arcLength);
  const first = places[0]!;
  const last = places[places.length - 1]!;
  const steps = rows.map((row) => row.along ?? 0);
  const turnsBack = steps.some((step) => step > 0) && steps.some((step) => step < 0);
  const shown = [...places, ...posts.map(({ place }) => place)];
  return {
    units,
    length: arcLength,
    from: shown.reduce((least, place) => Math.min(least, place), 0),
    to: shown.reduce((most, place) => Math.max(most, place), arcLength),
    ticks: rows.map(({ frame, place, along, isByHand }, index) => ({
      frame,
      place,
      along,
      isFifth: isFifth(move, frame, index),
      isByHand,
    })),
    skipped,
    even: turnsBack
      ? []
      : places.map((_, i) => first + ((last - first) * i) / Math.max(1, places.length - 1)),
    posts,
  };
}

const known = new WeakMap<Move, { readonly shot: Shot; readonly ruler: UnrolledArc }>();

/** What the ruler shows of a move. Remembered until the shot changes. */
export function unrolledArc(shot: Shot, move: Move): UnrolledArc {
  const before = known.get(move);
  if (before?.shot === shot) return before.ruler;
  const ruler = build(shot, move);
  known.set(move, { shot, ruler });
  return ruler;
}
