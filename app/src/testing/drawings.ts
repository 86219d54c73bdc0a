import { edits, type Shot } from '@humble/core';
import { straightShot } from './bench';

const square = (x: number, side: number): number[] => [x, x, x + side, x, x + side, x + side, x, x + side];

/** A figure of two drawings, a smaller square and a larger one, that travels straight. */
export function twoDrawings(): Shot {
  const drawings = [square(60, 80), square(40, 120)].map((ring, i) => ({
    sha256: String(i + 1).repeat(64),
    type: 'image/png' as const,
    name: `square ${i + 1}.png`,
    width: 200,
    height: 200,
    outline: [ring],
    frames: 30,
    planted: null,
  }));
  const artwork = { kind: 'pictures', drawings } as const;
  return edits.setArtwork(straightShot(), { figureId: 'figure1', artwork });
}
