import type { Vector } from '../arc/vector';
import type { Shot } from '../model/schema';
import { plannedOn } from './deviation';
import { setReading } from './setReading';

/** The hand of the stage always misses the same way. */
export const STAGE_SEED = 20261130;

/** The furthest that the stage's hand puts a figure off its place, millimetres. */
export const MAX_HAND_ERROR_MM = 0.8;

/** Without a scale the field is taken to be as wide on the stage, millimetres. */
const STAGE_WIDTH_MM = 400;

/** Where each figure stands on the stage, by its move, field units. */
export type StageStands = Readonly<Record<string, Vector>>;

/**
 * A number from 0 up to 1 that always is the same for the same words: their hash (FNV-1a), mixed as in MurmurHash3.
 */
export function seededShare(seed: number, ...words: readonly (string | number)[]): number {
  let hash = 2166136261 ^ seed;
  for (const letter of words.join('|')) hash = Math.imul(hash ^ letter.charCodeAt(0), 16777619);
  hash = Math.imul(hash ^ (hash >>> 16), 0x85ebca6b);
  hash = Math.imul(hash ^ (hash >>> 13), 0xc2b2ae35);
  return ((hash ^ (hash >>> 16)) >>> 0) / 2 ** 32;
}

/**
 * By how much the hand misses when it places a figure, millimetres across and down: evenly within a circle of
 * `MAX_HAND_ERROR_MM`, always the same for the same seed, frame and move.
 */
export function handError(seed: number, frame: number, moveId: string): Vector {
  const far = MAX_HAND_ERROR_MM * Math.sqrt(seededShare(seed, 'far', frame, moveId));
  const angle = 2 * Math.PI * seededShare(seed, 'angle', frame, moveId);
  return { x: far * Math.cos(angle), y: far * Math.sin(angle) };
}

/** Field units of a millimetre about a place of the set. */
function unitsPerMmAt(shot: Shot, place: Vector): number {
  if (!shot.shoot.perspective) return shot.field.unitsPerMm ?? shot.field.width / STAGE_WIDTH_MM;
  const { placeOf } = setReading(shot);
  const [here, beside] = [placeOf(place), placeOf({ x: place.x + 1, y: place.y })];
  return 1 / Math.hypot(beside.x - here.x, beside.y - here.y);
}

/** The figures as the stage's hand places them for a frame: where the plan has them, and a little off. */
export function placedByHand(shot: Shot, frame: number, seed: number): StageStands {
  return Object.fromEntries(
    shot.moves.map((move) => {
      const { x, y } = plannedOn(shot, move, frame);
      const error = handError(seed, frame, move.id);
      const k = unitsPerMmAt(shot, { x, y });
      return [move.id, { x: x + error.x * k, y: y + error.y * k }];
    }),
  );
}
