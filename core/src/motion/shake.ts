import type { Shake } from '../model/schema';

/** A number from −1 to 1 for a seed and whole numbers: the same every time (a hash by multiplication, xor and shift). */
function seeded(seed: number, swing: number, channel: number): number {
  let hash =
    Math.imul(seed + 1, 0x9e3779b1) ^
    Math.imul(swing + 101, 0x85ebca6b) ^
    Math.imul(channel + 11, 0xc2b2ae35);
  hash = Math.imul(hash ^ (hash >>> 15), 0x2c1b3c6d);
  hash = Math.imul(hash ^ (hash >>> 12), 0x297a2d39);
  return ((hash ^ (hash >>> 15)) >>> 0) / 0x7fffffff - 1;
}

/** From one seeded number to the next, leaving and arriving slowly, once in half a swing. */
function trembling({ seed, swingFrames }: Shake, x: number, channel: number): number {
  const at = (2 * x) / swingFrames;
  const swing = Math.floor(at);
  const t = at - swing;
  const eased = t * t * (3 - 2 * t);
  const [a, b] = [seeded(seed, swing, channel), seeded(seed, swing + 1, channel)];
  return a + (b - a) * eased;
}

export interface Shaken {
  readonly x: number;
  readonly y: number;
  readonly turnDeg: number;
}

/** A knock dies away over so many frames where nothing else was said. */
const KNOCK_FADES = 12;

/**
 * How far a shake puts its figure off on a frame. A tremble wanders evenly and fades in a straight line; a knock starts at
 * its full way in a seeded direction and swings back and forth, dying away by the square of what is left.
 * @param frame whole, from 1
 * @returns field units and degrees
 */
export function shakenOn(shake: Shake, frame: number): Shaken {
  const { kind, from, fadeFrames, amplitude, turnDeg, swingFrames, seed } = shake;
  const x = frame - from;
  const fade = kind === 'knock' && fadeFrames === 0 ? KNOCK_FADES : fadeFrames;
  const left = fade === 0 ? 1 : 1 - x / fade;
  if (x < 0 || left <= 0) return { x: 0, y: 0, turnDeg: 0 };
  if (kind === 'tremble')
    return {
      x: amplitude * left * trembling(shake, x, 0),
      y: amplitude * left * trembling(shake, x, 1),
      turnDeg: turnDeg * left * trembling(shake, x, 2),
    };
  const direction = Math.PI * seeded(seed, 0, 0);
  const swing = left * left * Math.cos((2 * Math.PI * x) / swingFrames);
  return {
    x: amplitude * swing * Math.cos(direction),
    y: amplitude * swing * Math.sin(direction),
    turnDeg: turnDeg * swing * Math.sign(seeded(seed, 0, 1)),
  };
}

/** All shakes of a move together. */
export function shakenBy(shakes: readonly Shake[], frame: number): Shaken {
  let [x, y, turnDeg] = [0, 0, 0];
  for (const shake of shakes) {
    const by = shakenOn(shake, frame);
    x += by.x;
    y += by.y;
    turnDeg += by.turnDeg;
  }
  return { x, y, turnDeg };
}
