import type { Vector } from '../arc/vector';
import { PLAIN_SCALE, type Scale } from './scale';
import type { StandIn } from './standIns';

/** A silhouette taken apart: a letter for each command, and all coordinates in one row. */
interface Outline {
  readonly commands: readonly string[];
  readonly coordinates: readonly number[];
}

/** How many coordinates follow each command that silhouettes are drawn with. */
const COORDINATES: Readonly<Record<string, number>> = { M: 2, L: 2, C: 6, Z: 0 };

const outlines = new WeakMap<StandIn, Outline>();

function outlineOf(standIn: StandIn): Outline {
  const known = outlines.get(standIn);
  if (known) return known;
  const commands = standIn.silhouette.match(/[A-Z]/g) ?? [];
  const coordinates = (standIn.silhouette.match(/-?[\d.]+/g) ?? []).map(Number);
  const outline = { commands, coordinates };
  outlines.set(standIn, outline);
  return outline;
}

const RADIANS = Math.PI / 180;
/** Coordinates are written to this share of a field unit. */
const FINENESS = 10;

/**
 * The silhouette of a stand-in as path data in the field: of a given height (field units), its pivot at a
 * place, turned by a heading. Many ghosts make one path, which a browser draws faster than as many shapes.
 */
export function standingPath(
  standIn: StandIn,
  heightInField: number,
  pivotPoint: Vector,
  headingDeg: number,
  { across, down }: Scale = PLAIN_SCALE,
): string {
  const { commands, coordinates } = outlineOf(standIn);
  const k = heightInField / standIn.height;
  const cos = Math.cos(headingDeg * RADIANS) * k;
  const sin = Math.sin(headingDeg * RADIANS) * k;
  let path = '';
  let at = 0;
  for (const command of commands) {
    path += command;
    for (const end = at + COORDINATES[command]!; at < end; at += 2) {
      const x = (coordinates[at]! - standIn.pivot.x) * across;
      const y = (coordinates[at + 1]! - standIn.pivot.y) * down;
      path += `${Math.round((pivotPoint.x + x * cos - y * sin) * FINENESS) / FINENESS} ${Math.round((pivotPoint.y + x * sin + y * cos) * FINENESS) / FINENESS} `;
    }
  }
  return path;
}
