import type { Transform } from '../arc/transform';
import type { Look } from './look';

interface Outline {
  readonly commands: readonly string[];
  readonly coordinates: readonly number[];
}

/** How many coordinates follow each command that silhouettes are drawn with. */
const COORDINATES: Readonly<Record<string, number>> = { M: 2, L: 2, C: 6, Z: 0 };

const outlines = new Map<string, Outline>();
/** So many silhouettes are kept taken apart. */
const MAX_KEPT = 500;

function outlineOf({ silhouette }: Pick<Look, 'silhouette'>): Outline {
  const known = outlines.get(silhouette);
  if (known) return known;
  const commands = silhouette.match(/[A-Z]/g) ?? [];
  const coordinates = (silhouette.match(/-?[\d.]+/g) ?? []).map(Number);
  const outline = { commands, coordinates };
  if (outlines.size >= MAX_KEPT) outlines.clear();
  outlines.set(silhouette, outline);
  return outline;
}

/** The path of a silhouette is in units of its own: so many are a field unit. */
export const SILHOUETTE_UNITS = 10;

/**
 * The silhouette of a look as path data on the field, in tenths of a field unit. Many ghosts make one path, which a
 * browser draws faster than as many shapes; and small whole numbers, each counted from the point before, are written and
 * read in a fraction of the time.
 * @param placement from the look's own units to the field
 */
export function silhouettePath(look: Pick<Look, 'silhouette'>, placement: Transform): string {
  const { commands, coordinates } = outlineOf(look);
  const { a, b, c, d, e, f } = placement;
  let path = '';
  let at = 0;
  let [fromX, fromY] = [0, 0];
  for (const command of commands) {
    path += command === 'M' ? command : command.toLowerCase();
    let [toX, toY] = [fromX, fromY];
    for (const end = at + COORDINATES[command]!; at < end; at += 2) {
      const [x, y] = [coordinates[at]!, coordinates[at + 1]!];
      toX = Math.round((a * x + c * y + e) * SILHOUETTE_UNITS);
      toY = Math.round((b * x + d * y + f) * SILHOUETTE_UNITS);
      path += command === 'M' ? `${toX} ${toY} ` : `${toX - fromX} ${toY - fromY} `;
    }
    [fromX, fromY] = [toX, toY];
  }
  return path;
}

/**
 * Rings as path data on the field, in the same units.
 * @param rings x and y of each point in turn
 * @param placement from the rings' own units to the field
 */
export function ringsPath(rings: readonly Float64Array[], placement: Transform): string {
  const { a, b, c, d, e, f } = placement;
  let path = '';
  for (const ring of rings) {
    let [fromX, fromY] = [0, 0];
    for (let i = 0; i < ring.length; i += 2) {
      const toX = Math.round((a * ring[i]! + c * ring[i + 1]! + e) * SILHOUETTE_UNITS);
      const toY = Math.round((b * ring[i]! + d * ring[i + 1]! + f) * SILHOUETTE_UNITS);
      path += i === 0 ? `M${toX} ${toY} ` : `l${toX - fromX} ${toY - fromY} `;
      [fromX, fromY] = [toX, toY];
    }
    path += 'z';
  }
  return path;
}

type PointMap = (x: number, y: number) => readonly [number, number];

/** Pieces that a curve of a silhouette is made of when it is bent. */
const CURVE_PIECES = 6;

/**
 * The silhouette of a look as path data, bent by a map that is no straight one: edges are divided before they are mapped.
 * @param longest the longest piece of an edge, in the look's own units
 */
export function bentSilhouette(look: Pick<Look, 'silhouette'>, map: PointMap, longest: number): string {
  const { commands, coordinates } = outlineOf(look);
  const round = (value: number): number => Math.round(value * SILHOUETTE_UNITS) / SILHOUETTE_UNITS;
  let path = '';
  let [at, x, y, startX, startY] = [0, 0, 0, 0, 0];
  const write = (letter: string, toX: number, toY: number): void => {
    const [mappedX, mappedY] = map(toX, toY);
    path += `${letter}${round(mappedX)} ${round(mappedY)} `;
  };
  const lineTo = (toX: number, toY: number): void => {
    const pieces = Math.max(1, Math.ceil(Math.hypot(toX - x, toY - y) / longest));
    for (let i = 1; i <= pieces; i++) write('L', x + ((toX - x) * i) / pieces, y + ((toY - y) * i) / pieces);
    [x, y] = [toX, toY];
  };
  for (const command of commands) {
    const own = coordinates.slice(at, at + COORDINATES[command]!);
    at += own.length;
    if (command === 'M') {
      [x, y, startX, startY] = [own[0]!, own[1]!, own[0]!, own[1]!];
      write('M', x, y);
    } else if (command === 'L') lineTo(own[0]!, own[1]!);
    else if (command === 'C') {
      const [fromX, fromY] = [x, y];
      const [ax, ay, bx, by, toX, toY] = own as [number, number, number, number, number, number];
      for (let i = 1; i <= CURVE_PIECES; i++) {
        const t = i / CURVE_PIECES;
        const r = 1 - t;
        write(
          'L',
          r * r * r * fromX + 3 * r * r * t * ax + 3 * r * t * t * bx + t * t * t * toX,
          r * r * r * fromY + 3 * r * r * t * ay + 3 * r * t * t * by + t * t * t * toY,
        );
      }
      [x, y] = [toX, toY];
    } else {
      lineTo(startX, startY);
      path += 'Z';
    }
  }
  return path;
}
