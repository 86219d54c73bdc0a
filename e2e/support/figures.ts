import { edits, freshShot, type Shot, smoothThrough } from '@humble/core';
import type { Bench } from './bench';
import { pngFile, pngWithBox } from './png';

export const EMPTY = { rate: 24, width: 1920, height: 1080 } as const;
export const CENTRE = { x: 960, y: 540 };
export const RADIUS = 300;
export const FRAMES = 48;
/** So far it goes round with every frame, degrees. */
export const STEP_DEG = 360 / FRAMES;

/** A circle that nothing rides yet, run through evenly in 48 frames. */
export function bareCircle(name: string): Shot {
  const drawn = edits.drawArc(freshShot({ ...EMPTY, name, lengthFrames: FRAMES }), {
    name: 'Buoy round',
    shape: {
      kind: 'ellipse',
      reversed: false,
      centre: CENTRE,
      radiusX: RADIUS,
      radiusY: RADIUS,
      startDeg: 270,
      turnDeg: 0,
      isRound: true,
    },
  });
  return edits.removeFigure(drawn, { figureId: drawn.figures[0]!.id });
}

/** Two straight arcs, one above the other; a peg rides the upper one. */
export function twoLines(name: string): Shot {
  const line = (y: number) => smoothThrough([192, 1728].map((x) => ({ x, y })));
  const upper = edits.drawArc(freshShot({ ...EMPTY, name, lengthFrames: 41 }), {
    name: 'Upper',
    points: line(270),
  });
  const lower = edits.drawArc(upper, { name: 'Lower', points: line(810) });
  const bare = edits.removeFigure(lower, { figureId: lower.figures[1]!.id });
  const { id: moveId, marks } = bare.moves[0]!;
  return edits.setEasing(bare, { moveId, markId: marks[0]!.id, easing: { kind: 'even' } });
}

/** A picture of 40 × 80, of which all is seen but a margin of 8 beneath: its foot is at 72. */
export const BUOY = pngFile('buoy.png', pngWithBox(40, 80, { left: 0, top: 0, right: 40, bottom: 72 }));

/** Where the foot of the picture stands, how it is turned and how large, from its matrix. */
export async function standing(bench: Bench, foot = { x: 20, y: 72 }) {
  const [a, b, c, d, e, f] = await bench.placement();
  return {
    x: a * foot.x + c * foot.y + e,
    y: b * foot.x + d * foot.y + f,
    turnDeg: (Math.atan2(b, a) * 180) / Math.PI,
    scale: Math.hypot(a, b),
  };
}
