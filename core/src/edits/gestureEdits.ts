import { withIds as pointsWithIds } from '../arc/wholeArc';
import { ShotError, outOfRange } from '../model/errors';
import type { RawGesture } from '../gesture/gesture';
import type { ThinnedGesture } from '../gesture/thinGesture';
import { arcEdits } from './arcEdits';
import { freshId } from '../model/ids';
import { findMove, withMove } from '../timing/moveChange';
import { findArc } from '../model/parts';
import { PLAIN_TIMING } from '../model/plainTiming';
import { type Arc, type Mark, type Shot } from '../model/schema';
import { MAX_SHOT_FRAMES, MAX_GESTURES, MAX_SAMPLES_OF_SHOT } from '../model/limits';

export interface ActingOut {
  readonly gestureId: string;
  readonly thinned: Pick<ThinnedGesture, 'points' | 'marks'>;
  /** Field units. */
  readonly allowedDeviation: number;
  readonly firstFrame: number;
  /** Number of intervals it was fitted to; null when it lasts as long as the hand took. */
  readonly frames: number | null;
}

function freshName(shot: Shot): string {
  const taken = shot.gestures.map(({ name }) => Number(/^Gesture (\d+)$/.exec(name)?.[1] ?? 0));
  return `Gesture ${Math.max(0, ...taken) + 1}`;
}

const withIds = (marks: ThinnedGesture['marks'], firstFrame: number): Mark[] =>
  marks.map((mark, i) => ({ ...mark, id: `m${i + 1}`, frame: mark.frame + firstFrame }));

function checked({ thinned: { marks }, firstFrame }: ActingOut): void {
  const last = marks[marks.length - 1];
  if (!last || marks.length < 2) throw outOfRange('A gesture gives at least two marks.');
  if (firstFrame < 1 || last.frame + firstFrame > MAX_SHOT_FRAMES)
    throw outOfRange(`A shot has at most ${MAX_SHOT_FRAMES} frames.`);
}

const known = new WeakMap<ActingOut['thinned'], Arc['points']>();

/** The points of the arc that a thinned gesture gives; the same objects every time. */
export function actedPoints(thinned: ActingOut['thinned']): Arc['points'] {
  const before = known.get(thinned);
  if (before) return before;
  const points = pointsWithIds(thinned.points.map((point) => ({ ...point, shaping: null })));
  known.set(thinned, points);
  return points;
}

export const gestureEdits = {
  /** A gesture kept as it was recorded. It is in the shot from then on, whether a move uses it or not. */
  keepGesture: (shot: Shot, { gesture, name }: { gesture: RawGesture; name?: string }): Shot => {
    if (shot.gestures.length >= MAX_GESTURES)
      throw outOfRange(`A shot keeps at most ${MAX_GESTURES} gestures: delete one first.`);
    const kept = shot.gestures.reduce((sum, { ms }) => sum + ms.length, 0);
    if (kept + gesture.ms.length > MAX_SAMPLES_OF_SHOT)
      throw outOfRange('The gestures of this shot are too long to keep another: delete one first.');
    return {
      ...shot,
      gestures: [
        ...shot.gestures,
        { id: freshId('gesture', shot.gestures), name: name?.trim() || freshName(shot), ...gesture },
      ],
    };
  },

  /**
   * A move that does what a gesture did: on an arc of its own with a stand-in, or the one that is named. A
   * gesture that comes along is kept with it.
   */
  actOut: (
    before: Shot,
    {
      moveId,
      gesture,
      name,
      ...acting
    }: ActingOut & { moveId: string | null; gesture?: RawGesture; name?: string },
  ): Shot => {
    const { gestureId, thinned, allowedDeviation, firstFrame, frames } = acting;
    const shot = gesture ? gestureEdits.keepGesture(before, { gesture, name }) : before;
    if (!shot.gestures.some(({ id }) => id === gestureId))
      throw new ShotError('unknown-id', `The shot has no gesture ${gestureId}.`);
    checked(acting);
    const points = actedPoints(thinned);
    const drawn = moveId === null ? arcEdits.drawArc(shot, { points }) : shot;
    const id = moveId ?? drawn.moves[drawn.moves.length - 1]!.id;
    const { arcId } = findMove(drawn, id);
    const shaped = moveId === null ? drawn : arcEdits.redrawArc(drawn, { arcId, points, closed: false });
    return withMove(shaped, id, (move) => ({
      ...move,
      // What was put by hand or left out was so on other frames.
      ...PLAIN_TIMING,
      // A figure that is led by hand stays upright unless it is told to turn.
      turnsWithArc: moveId === null ? false : move.turnsWithArc,
      marks: withIds(thinned.marks, firstFrame),
      acted: { gestureId, allowedDeviation, frames },
    }));
  },

  fitLengthTo: (shot: Shot, { moveId }: { moveId: string }): Shot => {
    const { marks, arcId } = findMove(shot, moveId);
    const last = marks[marks.length - 1]!.frame - (findArc(shot, arcId).closed ? 1 : 0);
    const others = shot.moves
      .filter(({ id }) => id !== moveId)
      .map((move) => move.marks[move.marks.length - 1]!.frame);
    return { ...shot, lengthFrames: Math.max(2, last, ...others) };
  },

  renameGesture: (shot: Shot, { gestureId, name }: { gestureId: string; name: string }): Shot => {
    if (name.trim() === '') throw outOfRange('A gesture needs a name.');
    return {
      ...shot,
      gestures: shot.gestures.map((one) => (one.id === gestureId ? { ...one, name: name.trim() } : one)),
    };
  },

  /** A gesture that is not kept any longer; what was acted with it stays as it is. */
  deleteGesture: (shot: Shot, { gestureId }: { gestureId: string }): Shot => ({
    ...shot,
    gestures: shot.gestures.filter(({ id }) => id !== gestureId),
    moves: shot.moves.map((move) => (move.acted?.gestureId === gestureId ? { ...move, acted: null } : move)),
  }),
} as const;
