import { distance, type Vector } from './vector';

export interface SnapTargets {
  /** Size of the grid's squares, field units; null for no grid. */
  readonly grid: number | null;
  readonly points: readonly Vector[];
  readonly centre: Vector | null;
  readonly lines: boolean;
  readonly reach: number;
}

export interface SnapGuide {
  readonly kind: 'point' | 'centre' | 'level' | 'upright' | 'grid';
  readonly from: Vector;
  readonly to: Vector;
}

export interface Snapped {
  readonly at: Vector;
  readonly guides: readonly SnapGuide[];
}

const nearest = <T>(candidates: readonly T[], away: (candidate: T) => number, reach: number): T | null => {
  let best: T | null = null;
  let least = reach;
  for (const candidate of candidates) {
    const distance = away(candidate);
    if (distance > least) continue;
    least = distance;
    best = candidate;
  }
  return best;
};

const toGrid = (value: number, grid: number): number => Math.round(value / grid) * grid + 0;

/**
 * Where a place comes to lie when things nearby attract it. A point or the field's middle wins over
 * lines, and lines over the grid; each direction is settled by itself.
 */
export function snap(point: Vector, { grid, points, centre, lines, reach }: SnapTargets): Snapped {
  const spots = [...points, ...(centre ? [centre] : [])];
  const spot = nearest(spots, (candidate) => distance(candidate, point), reach);
  if (spot) {
    const at = { x: spot.x, y: spot.y };
    return { at, guides: [{ kind: spot === centre ? 'centre' : 'point', from: at, to: at }] };
  }
  const upright = lines ? nearest(spots, ({ x }) => Math.abs(x - point.x), reach) : null;
  const level = lines ? nearest(spots, ({ y }) => Math.abs(y - point.y), reach) : null;
  const gridX = grid !== null && !upright && Math.abs(toGrid(point.x, grid) - point.x) <= reach;
  const gridY = grid !== null && !level && Math.abs(toGrid(point.y, grid) - point.y) <= reach;
  const at = {
    x: upright ? upright.x : gridX ? toGrid(point.x, grid) : point.x,
    y: level ? level.y : gridY ? toGrid(point.y, grid) : point.y,
  };
  const guides: SnapGuide[] = [];
  if (upright) guides.push({ kind: 'upright', from: { x: upright.x, y: upright.y }, to: at });
  if (level) guides.push({ kind: 'level', from: { x: level.x, y: level.y }, to: at });
  if (gridX || gridY) guides.push({ kind: 'grid', from: at, to: at });
  return { at, guides };
}

/**
 * The place nearest to `to` that lies from `from` in one of the directions that are multiples of a step.
 * @param stepDeg degrees; 45 gives level, upright and the diagonals
 */
export function alongDirections(from: Vector, to: Vector, stepDeg: number): Vector {
  const d = { x: to.x - from.x, y: to.y - from.y };
  const step = (stepDeg * Math.PI) / 180;
  const angle = Math.round(Math.atan2(d.y, d.x) / step) * step;
  const along = d.x * Math.cos(angle) + d.y * Math.sin(angle);
  const quarter = Math.abs(Math.round((angle * 2) / Math.PI) - (angle * 2) / Math.PI) < 1e-9;
  const isLevel = quarter && Math.abs(Math.sin(angle)) < 0.5;
  return {
    x: quarter && !isLevel ? from.x : from.x + along * Math.cos(angle),
    y: isLevel ? from.y : from.y + along * Math.sin(angle),
  };
}
