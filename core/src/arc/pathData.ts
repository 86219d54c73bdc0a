import { type Chain, segmentBetween, segmentCount, segmentEnds } from './segments';

const write = (value: number, digits: number): string => String(Number(value.toFixed(digits)));

/**
 * The arc as SVG path data: one M, a C for each segment, and Z when it is closed.
 * @param digits decimals of the coordinates, in field units
 */
export function pathData(arc: Chain, digits = 3): string {
  const first = arc.points[0];
  if (!first) return '';
  const coordinates = (p: { x: number; y: number }): string => `${write(p.x, digits)} ${write(p.y, digits)}`;
  const curves = Array.from({ length: segmentCount(arc) }, (_, i) => {
    const { control1, control2, end } = segmentBetween(...segmentEnds(arc, i));
    return `C${coordinates(control1)} ${coordinates(control2)} ${coordinates(end)}`;
  });
  return `M${coordinates(first)}${curves.join('')}${arc.closed ? 'Z' : ''}`;
}
