import { type ArcMeasure, measureArc, pointAtDistance } from '../arc/arcMeasure';
import {
  applyHomography,
  inverseHomography,
  type FourSpots,
  type Homography,
  homographyOf,
  stretchAt,
} from '../arc/homography';
import { distance, mix, type Vector } from '../arc/vector';
import type { Arc, Perspective, Shot } from '../model/schema';
import { readingUnits } from '../spacing/increments';

/** What a ruler reads on the set: places and ways along an arc, in `units`. */
export interface SetReading {
  readonly units: 'field' | 'mm';
  /** @param place field units */
  readonly placeOf: (place: Vector) => Vector;
  /** From the start of an arc. @param s field units; laps of a closed arc are counted on */
  readonly alongOf: (arc: Arc, s: number) => number;
}

export type Corners = Pick<Perspective, 'upperLeft' | 'upperRight' | 'lowerRight' | 'lowerLeft'>;

const tables = new WeakMap<Perspective, Homography>();

/** The corners of a sheet as it is seen, clockwise from the upper left. */
export const cornersOf = ({ upperLeft, upperRight, lowerRight, lowerLeft }: Corners): FourSpots => [
  upperLeft,
  upperRight,
  lowerRight,
  lowerLeft,
];

const onTable = ({ widthMm, heightMm }: Perspective): FourSpots => [
  { x: 0, y: 0 },
  { x: widthMm, y: 0 },
  { x: widthMm, y: heightMm },
  { x: 0, y: heightMm },
];

/**
 * The map from the picture to the table, field units to millimetres from the sheet's upper left corner.
 * @throws ShotError `out-of-range` where the corners are none of a sheet
 */
export function tableOf(perspective: Perspective): Homography {
  const known = tables.get(perspective);
  if (known) return known;
  const table = homographyOf(cornersOf(perspective), onTable(perspective));
  tables.set(perspective, table);
  return table;
}

/** How far the corners of a sheet are from where they should be on the table, millimetres: the largest of the four. */
export function residualOf(perspective: Perspective): number {
  const table = tableOf(perspective);
  const corners = onTable(perspective);
  return Math.max(
    ...cornersOf(perspective).map((corner, i) => distance(applyHomography(table, corner), corners[i]!)),
  );
}

/** Lines of a grid on the table are this far apart, millimetres. */
export const TABLE_GRID_MM = 50;
const MAX_LINES_OF_SHEET = 20;
const POINTS_PER_LINE = 48;

/**
 * A grid that lies on the table, as the camera sees it: lines through places of the field, each `TABLE_GRID_MM` from the
 * next, counted from the sheet's upper left corner. It reaches as far as the field does, and no further than the sheet
 * three times over.
 */
export function tableGrid(
  perspective: Perspective,
  { width, height }: Shot['field'],
): readonly (readonly Vector[])[] {
  const { widthMm, heightMm } = perspective;
  const table = tableOf(perspective);
  const seen = inverseHomography(table);
  // What lies behind the horizon of the table is none of it: there the divisor changes its sign.
  const isSeen = (at: Vector): boolean => {
    const w = seen[6] * at.x + seen[7] * at.y + seen[8];
    const place = applyHomography(seen, at);
    const isInField = place.x >= 0 && place.y >= 0 && place.x <= width && place.y <= height;
    return w * seen[8] > 0 && isInField;
  };
  const marks = (side: number): readonly number[] => {
    const n = Math.min(MAX_LINES_OF_SHEET, Math.ceil(side / TABLE_GRID_MM));
    return Array.from({ length: 3 * n + 1 }, (_, i) => (i - n) * TABLE_GRID_MM);
  };
  const along = (from: Vector, to: Vector): readonly Vector[] =>
    Array.from({ length: POINTS_PER_LINE + 1 }, (_, i) => mix(from, to, i / POINTS_PER_LINE))
      .filter(isSeen)
      .map((at) => applyHomography(seen, at));
  const [xs, ys] = [marks(widthMm), marks(heightMm)];
  const [left, right, top, foot] = [xs[0]!, xs.at(-1)!, ys[0]!, ys.at(-1)!];
  return [
    ...xs.map((x) => along({ x, y: top }, { x, y: foot })),
    ...ys.map((y) => along({ x: left, y }, { x: right, y })),
  ].filter((line) => line.length > 1);
}

/** Nodes and weights of Gauss and Legendre's rule of five points on 0 to 1. */
const GAUSS = [
  [0.046910077030668, 0.1184634425280945],
  [0.2307653449471585, 0.2393143352496832],
  [0.5, 0.2844444444444444],
  [0.7692346550528415, 0.2393143352496832],
  [0.953089922969332, 0.1184634425280945],
] as const;

const PANELS_PER_SEGMENT = 16;

interface Panels {
  readonly ends: readonly number[];
  readonly along: readonly number[];
}

const known = new WeakMap<Arc, { readonly table: Homography; readonly panels: Panels }>();

function lengthBetween(arc: Arc, table: Homography, from: number, until: number): number {
  const way = until - from;
  return GAUSS.reduce((sum, [node, weight]) => {
    const { x, y, headingDeg } = pointAtDistance(arc, from + node * way);
    return sum + weight * way * stretchAt(table, { x, y }, headingDeg);
  }, 0);
}

function panelsOf(arc: Arc, { length, startDistance }: ArcMeasure, table: Homography): Panels {
  const found = known.get(arc);
  if (found?.table === table) return found.panels;
  const starts = [...startDistance].filter((s, i) => i === 0 || s > startDistance[i - 1]!);
  const edges = [...starts.filter((s) => s < length), length];
  const ends = edges
    .slice(1)
    .flatMap((until, i) =>
      Array.from(
        { length: PANELS_PER_SEGMENT },
        (_, k) => edges[i]! + ((k + 1) / PANELS_PER_SEGMENT) * (until - edges[i]!),
      ),
    );
  let sum = 0;
  const along = ends.map((end, i) => (sum += lengthBetween(arc, table, ends[i - 1] ?? 0, end)));
  const panels = { ends, along };
  known.set(arc, { table, panels });
  return panels;
}

function alongTable(arc: Arc, s: number, table: Homography): number {
  const measure = measureArc(arc);
  const { length, closed } = measure;
  if (length === 0) return 0;
  const { ends, along } = panelsOf(arc, measure, table);
  const lap = closed ? Math.floor(s / length) : 0;
  const rest = Math.min(length, Math.max(0, s - lap * length));
  const i = ends.findIndex((end) => end >= rest);
  const from = ends[i - 1] ?? 0;
  return lap * along[along.length - 1]! + (along[i - 1] ?? 0) + lengthBetween(arc, table, from, rest);
}

/**
 * How the set of a shot is read: on its table where the perspective is known, in millimetres; else by the scale of the
 * field alone, or in field units.
 */
export function setReading(shot: Shot): SetReading {
  const { perspective } = shot.shoot;
  if (perspective) {
    const table = tableOf(perspective);
    return {
      units: 'mm',
      placeOf: (place) => applyHomography(table, place),
      alongOf: (arc, s) => alongTable(arc, s, table),
    };
  }
  const { units, perUnit } = readingUnits(shot);
  return {
    units,
    placeOf: ({ x, y }) => ({ x: x * perUnit, y: y * perUnit }),
    alongOf: (_, s) => s * perUnit,
  };
}
