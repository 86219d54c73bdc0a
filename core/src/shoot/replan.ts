import { frameName, sentenceWith } from '../model/frameNumbers';
import { outOfRange } from '../model/errors';
import type { Mark, Move, Shot } from '../model/schema';
import { exposuresOf } from '../exposure/exposures';
import { withShares } from '../exposure/spanKnots';
import { evaluateMove } from '../motion/evaluate';
import { isHold } from '../timing/isHold';
import { withMarkOn } from '../timing/markEdits';
import { firstFrame, fractionAt, lastFrame } from '../timing/placeInTime';

/** How the rest of a move goes on from where its figure really stands. */
export type ReplanWay =
  | { readonly by: 'at-once' }
  /** Back on the plan after so many pictures, in even steps. */
  | { readonly by: 'within'; readonly pictures: number }
  /** Every increment that is left by the same factor. */
  | { readonly by: 'spread' }
  | { readonly by: 'shift' };

/** Two shares of an arc closer than this are one place. */
const SAME = 1e-12;

type PlaceOn = (frame: number) => number;

const MORE_PICTURES = 'Catching up takes at least one picture.';

function placesAfter(
  move: Move,
  shot: Shot,
  { frame, fraction, way }: { readonly frame: number; readonly fraction: number; readonly way: ReplanWay },
): PlaceOn {
  const plan: PlaceOn = (f) => fractionAt(move, f);
  const [stands, end] = [plan(frame), plan(lastFrame(move))];
  if (way.by === 'at-once') return plan;
  if (way.by === 'spread') {
    if (Math.abs(end - stands) < SAME)
      throw outOfRange(
        'By the plan it has no way left to go from here: go back to the plan, or shift the rest.',
      );
    return (f) => fraction + ((plan(f) - stands) * (end - fraction)) / (end - stands);
  }
  if (way.by === 'shift') {
    const by = fraction - stands;
    const { arc } = evaluateMove(shot, move);
    const places = move.marks.filter((mark) => mark.frame > frame).map((mark) => mark.fraction + by);
    if (!arc.closed && places.some((place) => place > 1 + SAME || place < -SAME))
      throw outOfRange(
        'Shifted, it would go past the end of its arc: draw the arc on, or spread it over the rest.',
      );
    return (f) => plan(f) + by;
  }
  if (!Number.isInteger(way.pictures) || way.pictures < 1) throw outOfRange(MORE_PICTURES);
  const later = exposuresOf(move, shot)
    .map((exposure) => exposure.frame)
    .filter((f) => f > frame);
  const count = Math.min(way.pictures, later.length);
  const caughtUp = later[count - 1]!;
  const step = (plan(caughtUp) - fraction) / count;
  return (f) => {
    if (f >= caughtUp) return plan(f);
    const k = later.findIndex((next) => next > f);
    const before = later[k - 1] ?? frame;
    return fraction + step * (k + (f - before) / (later[k]! - before));
  };
}

/** The span that begins at a mark, by a chart through given places, on its exposures. */
function charted(move: Move, shot: Shot, index: number, placeOn: PlaceOn): Move {
  const [from, to] = [move.marks[index]!, move.marks[index + 1]!];
  const way = to.fraction - from.fraction;
  if (Math.abs(way) < SAME || isHold(from, to)) return move;
  const inside = exposuresOf(move, shot)
    .map(({ frame }) => frame)
    .filter((f) => f > from.frame && f < to.frame);
  const shares = inside.map((f) => (placeOn(f) - from.fraction) / way);
  return withShares(move, { index, frames: [from.frame, ...inside, to.frame], shares: [0, ...shares, 1] }, [
    0,
    ...shares,
    1,
  ]);
}

const placed = (mark: Mark, fraction: number): Mark =>
  Math.abs(fraction - mark.fraction) < SAME ? mark : { ...mark, fraction, pointId: null };

/**
 * The move with its rest planned anew from where its figure really stands on a frame. What was before that frame stays;
 * a mark is put there, and the spans that follow go by charts where their spacing changes.
 * @param args.fraction where it stands, share of the arc's length; laps of a closed arc go on past 1
 * @throws ShotError `out-of-range` with a sentence that says what else could be done
 */
export function replanned(
  move: Move,
  shot: Shot,
  args: { readonly frame: number; readonly fraction: number; readonly way: ReplanWay },
): Move {
  const { frame, fraction, way } = args;
  if (frame < firstFrame(move) || frame >= lastFrame(move))
    throw outOfRange(sentenceWith`After frame ${frameName(frame)} the plan has nothing left to change.`);
  const plan: PlaceOn = (f) => fractionAt(move, f);
  const after = placesAfter(move, shot, args);
  const marked = move.marks.some((mark) => mark.frame === frame) ? move : withMarkOn(move, frame);
  const at = marked.marks.findIndex((mark) => mark.frame === frame);
  const marks = marked.marks.map((mark, i) => {
    if (i < at) return mark;
    return placed(mark, i === at ? fraction : after(mark.frame));
  });
  // What it is thrown off by is no law of physics, and no gesture.
  let next: Move = { ...marked, marks, physics: null };
  if (at > 0) next = charted(next, shot, at - 1, plan);
  const isAffine = way.by === 'spread' || way.by === 'shift';
  for (let i = at; i + 1 < marks.length; i++)
    if (i === at || !isAffine || marks[i]!.easing.kind === 'flow') next = charted(next, shot, i, after);
  return next;
}
