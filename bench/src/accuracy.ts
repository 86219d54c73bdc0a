import { type Arc, arcLength, measureArc, pathData, pointAt } from '@humble/core';
import { Bezier } from 'bezier-js';
import { svgPathProperties } from 'svg-path-properties';
import { arcThrough } from './arcs';

const REFERENCE_PIECES = 400_000;

/** Reference length of an arc: chords of 400 000 pieces a segment, extrapolated (Richardson). */
function referenceLength(arc: Arc): number {
  const chords = (pieces: number): number =>
    measureArc(arc).segments.reduce((sum, { curve }) => {
      let length = 0;
      let before = pointAt(curve, 0);
      for (let i = 1; i <= pieces; i++) {
        const at = pointAt(curve, i / pieces);
        length += Math.hypot(at.x - before.x, at.y - before.y);
        before = at;
      }
      return sum + length;
    }, 0);
  const coarse = chords(REFERENCE_PIECES / 2);
  const fine = chords(REFERENCE_PIECES);
  return fine + (fine - coarse) / 3;
}

const bezierLength = (arc: Arc): number =>
  arc.points.slice(1).reduce((sum, to, i) => {
    const from = arc.points[i]!;
    const controls = [
      from.x,
      from.y,
      from.x + from.out.x,
      from.y + from.out.y,
      to.x + to.in.x,
      to.y + to.in.y,
      to.x,
      to.y,
    ];
    return sum + new Bezier(controls).length();
  }, 0);

export interface LengthErrors {
  readonly name: string;
  readonly ours: number;
  readonly svgPathProperties: number;
  readonly bezierJs: number;
}

export function lengthErrors(name: string, arc: Arc): LengthErrors {
  const reference = referenceLength(arc);
  const error = (length: number): number => Math.abs(length - reference) / reference;
  return {
    name,
    ours: error(arcLength(arc)),
    svgPathProperties: error(new svgPathProperties(pathData(arc, 12)).getTotalLength()),
    bezierJs: error(bezierLength(arc)),
  };
}

export function cubicArc(
  a: [number, number],
  b: [number, number],
  c: [number, number],
  d: [number, number],
): Arc {
  const none = { x: 0, y: 0 };
  return arcThrough([
    { x: a[0], y: a[1], in: none, out: { x: b[0] - a[0], y: b[1] - a[1] }, kind: 'smooth' },
    { x: d[0], y: d[1], in: { x: c[0] - d[0], y: c[1] - d[1] }, out: none, kind: 'smooth' },
  ]);
}
