import { type Arc, edits, freshShot, type PointShape, type Shot } from '@humble/core';

export const arcThrough = (points: readonly PointShape[]): Arc => ({
  id: 'arc1',
  name: 'Arc 1',
  closed: false,
  points: points.map((point, i) => ({ shaping: null, ...point, id: `p${i + 1}` })),
  shape: null,
  colour: 'indigo',
  hidden: false,
  locked: false,
});

export const windingArc = (points: number): Arc =>
  arcThrough(
    Array.from({ length: points }, (_, i): PointShape => ({
      x: i * 80,
      y: 300 + 200 * Math.sin(i * 1.3),
      in: { x: -30, y: -40 * Math.cos(i) },
      out: { x: 30, y: 40 * Math.cos(i) },
      kind: 'smooth',
    })),
  );

/** Keys of each track: so many frames apart, with values that go up and down. */
const KEY_EVERY = 25;

export function figuresOf(figures: number, lengthFrames: number): Shot {
  let shot = shotOf(figures, 12, lengthFrames);
  for (const { id: moveId } of shot.moves) {
    shot = edits.setOffsetIn(shot, { moveId, offsetIn: 'riding' });
    shot = edits.setTurning(shot, {
      moveId,
      smoothFrames: 5,
      cornerFrames: 8,
      lean: { by: 'most', mostDeg: 20, smoothFrames: 5 },
    });
    for (let frame = 1; frame <= lengthFrames; frame += KEY_EVERY)
      for (const [track, value] of [
        ['turn', 30 * Math.sin(frame)],
        ['size', 100 + 50 * Math.sin(frame)],
        ['opacity', 75 + 25 * Math.sin(frame)],
        ['offsetX', 40 * Math.sin(frame)],
        ['offsetY', 40 * Math.cos(frame)],
      ] as const)
        shot = edits.setKey(shot, { moveId, track, frame, value });
  }
  return shot;
}

export function ridersOf(figures: number, riders: number, lengthFrames: number): Shot {
  let shot = shotOf(figures, 12, lengthFrames);
  for (const { id: moveId } of shot.moves)
    shot = edits.makeChain(shot, {
      moveId,
      count: riders + 1,
      gap: { distance: 20 },
      toPercent: 40,
      taper: 'even',
    });
  return shot;
}

export function shotOf(moves: number, points: number, lengthFrames: number): Shot {
  let shot = freshShot({ name: 'Bench', rate: 24, lengthFrames, width: 1920, height: 1080 });
  for (let i = 0; i < moves; i++) shot = edits.drawArc(shot, { points: windingArc(points).points });
  return shot;
}
