import { edits, freshShot, type Shot, smoothThrough } from '@humble/core';

const moveId = 'move1';
export const FRAMES = 24;

/** A disc that travels along a bend, upright, on a small field. */
export function rolling(): Shot {
  const empty = freshShot({ name: 'Disc', rate: 12, lengthFrames: FRAMES, width: 640, height: 360 });
  const bend = [
    [80, 280],
    [300, 80],
    [560, 240],
  ].map(([x, y]) => ({ x: x!, y: y! }));
  const drawn = edits.drawArc(empty, { points: smoothThrough(bend) });
  const disc = edits.setFigure(drawn, { figureId: 'figure1', standIn: 'disc', height: 60 });
  return edits.setTurning(disc, { moveId, turnsWithArc: false });
}
