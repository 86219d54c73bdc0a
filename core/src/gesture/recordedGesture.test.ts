import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { edits } from '../edits/edits';
import { evaluate } from '../motion/evaluate';
import { shotAlong, arcOf, corner } from '../testing/shapes';
import { gestureFrames, momentsOf, type RawGesture } from './gesture';
import { thinGesture } from './thinGesture';

/**
 * Recorded in the application, reports at uneven times: a swing over to the right, a rest of 0.7 s, a trembling
 * way straight down, a loop, and a short rest at the end.
 */
const recorded = JSON.parse(
  readFileSync(join(__dirname, '../testing/recordedGesture.json'), 'utf8'),
) as RawGesture;

const RATE = 24;
const frames = gestureFrames(recorded, RATE);
const moments = momentsOf(recorded, frames);

/** Where a figure that acts it is on each frame, by the evaluation that everything shows. */
function acted(allowedDeviation: number) {
  const thinned = thinGesture(recorded, { frames, allowedDeviation });
  const empty = shotAlong(arcOf([corner(0, 0), corner(100, 0)]), 25);
  const shot = edits.actOut(empty, {
    moveId: null,
    gesture: recorded,
    gestureId: 'gesture1',
    thinned,
    allowedDeviation,
    firstFrame: 1,
    frames: null,
  });
  return { thinned, travel: evaluate(shot).travels.at(-1)! };
}

test.each([2, 8.64, 40])('a recorded gesture, thinned to %d units, is kept to on every frame', (allowed) => {
  const { travel } = acted(allowed);
  const off = moments.map(({ x, y }, i) => Math.hypot(travel.x[i]! - x, travel.y[i]! - y));
  expect(Math.max(...off)).toBeLessThanOrEqual(allowed * (1 + 1e-6));
});

test('its rests are holds: none of their frames moves', () => {
  const { travel, thinned } = acted(8.64);
  const still = Array.from(
    { length: frames },
    (_, i) => travel.arcDistance[i + 1]! === travel.arcDistance[i]!,
  );
  const longest = still
    .join('')
    .split('false')
    .map((run) => run.length / 'true'.length);
  // 733 ms without a report are 17.6 intervals; those at its ends may be cut into.
  expect(Math.max(...longest)).toBeGreaterThanOrEqual(16);
  expect(Math.max(...longest)).toBeLessThanOrEqual(20);
  expect(thinned.marks.length).toBeLessThan(frames / 2);
  // With the trembling allowed for, few are left.
  expect(acted(40).thinned.marks.length).toBeLessThan(frames / 4);
});
