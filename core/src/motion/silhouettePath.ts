import type { Transform } from '../arc/transform';
import type { Look } from './look';

/** A silhouette taken apart: a letter for each command, and all coordinates in one row. */
interface Outline {
  readonly commands: readonly string[];
  readonly coordinates: readonly number[];
}

/** How many coordinates follow each command that silhouettes are drawn with. */
const COORDINATES: Readonly<Record<string, number>> = { M: 2, L: 2, C: 6, Z: 0 };

const outlines = new Map<string, Outline>();
/** So many silhouettes are kept taken apart. */
const MOST_KEPT = 500;

function outlineOf({ silhouette }: Pick<Look, 'silhouette'>): Outline {
  const known = outlines.get(silhouette);
  if (known) return known;
  const commands = silhouette.match(/[A-Z]/g) ?? [];
  const coordinates = (silhouette.match(/-?[\d.]+/g) ?? []).map(Number);
  const outline = { commands, coordinates };
  if (outlines.size >= MOST_KEPT) outlines.clear();
  outlines.set(silhouette, outline);
  return outline;
}

/** Coordinates are written to this share of a field unit. */
const FINENESS = 10;

/**
 * The silhouette of a look as path data in the field. Many ghosts make one path, which a browser draws faster than as
 * many shapes.
 * @param placement from the look's own units to the field
 */
export function silhouettePath(look: Pick<Look, 'silhouette'>, placement: Transform): string {
  const { commands, coordinates } = outlineOf(look);
  const { a, b, c, d, e, f } = placement;
  let path = '';
  let at = 0;
  for (const command of commands) {
    path += command;
    for (const end = at + COORDINATES[command]!; at < end; at += 2) {
      const [x, y] = [coordinates[at]!, coordinates[at + 1]!];
      path += `${Math.round((a * x + c * y + e) * FINENESS) / FINENESS} ${Math.round((b * x + d * y + f) * FINENESS) / FINENESS} `;
    }
  }
  return path;
}
