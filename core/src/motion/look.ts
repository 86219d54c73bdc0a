import type { Transform } from '../arc/transform';
import type { Vector } from '../arc/vector';
import type { DrawingPicture, Field, Figure, Move, Outline } from '../model/schema';
import { drawingCount } from '../exposure/drawings';
import type { Scale } from './scale';
import { STAND_INS, type StandIn } from './standIns';

export interface Look extends Pick<StandIn, 'width' | 'height' | 'silhouette' | 'details'> {
  readonly pivot: Vector;
  /** The picture itself; null for a stand-in, which is drawn by its silhouette and details. */
  readonly picture: DrawingPicture | null;
}

export const outlinePath = (outline: Outline): string =>
  outline
    .map((ring) => {
      const points: string[] = [];
      for (let i = 0; i < ring.length; i += 2) points.push(`${ring[i]!} ${ring[i + 1]!}`);
      return `M${points.join('L')}Z`;
    })
    .join('');

function pictureLook(picture: DrawingPicture, pivot: Figure['pivot']): Look {
  const { width, height, outline } = picture;
  return {
    width,
    height,
    pivot: pivot ?? { x: width / 2, y: height / 2 },
    silhouette: outlinePath(outline),
    details: [],
    picture,
  };
}

/** The lines of a camera's frame are this thick, as a share of its width. */
const FRAME_SHARE = 1 / 160;

/** A frame of four thin lines, as large as the field; its middle sits on the arc. */
function cameraLook({ width, height }: Extract<Figure['artwork'], { kind: 'camera' }>): Look {
  const t = width * FRAME_SHARE;
  const silhouette = `M0 0L${width} 0L${width} ${height}L0 ${height}ZM${t} ${t}L${t} ${height - t}L${width - t} ${height - t}L${width - t} ${t}Z`;
  return { width, height, pivot: { x: width / 2, y: height / 2 }, silhouette, details: [], picture: null };
}

const looks = new WeakMap<Figure, Map<number, Look>>();

/** What a figure looks like; the same object as long as the figure does not change. @param drawing from 1 */
export function lookOf(figure: Figure, drawing = 1): Look {
  let known = looks.get(figure);
  if (!known) looks.set(figure, (known = new Map()));
  const { artwork, pivot } = figure;
  const number = Math.min(Math.max(1, drawing), drawingCount(figure));
  let look = known.get(number);
  if (!look) {
    if (artwork.kind === 'pictures') look = pictureLook(artwork.drawings[number - 1]!, pivot);
    else if (artwork.kind === 'camera') look = cameraLook(artwork);
    else {
      const standIn = STAND_INS[artwork.standIn];
      look = { ...standIn, pivot: pivot ?? standIn.pivot, picture: null };
    }
    known.set(number, look);
  }
  return look;
}

/** How high a figure is in a field at a size of 100 %, field units: its real height where the field has a scale. */
export const heightInField = (
  { height, heightMm }: Pick<Figure, 'height' | 'heightMm'>,
  { unitsPerMm }: Pick<Field, 'unitsPerMm'>,
): number => (heightMm !== null && unitsPerMm !== null ? heightMm * unitsPerMm : height);

export interface FigurePosition {
  readonly x: number;
  readonly y: number;
  readonly headingDeg: number;
  readonly scale: Scale;
}

export interface FigureSetup {
  readonly figure: Figure;
  readonly move: Pick<Move, 'turnsWithArc' | 'mirrored'>;
  readonly figureHeight: number;
}

const RADIANS = Math.PI / 180;

/**
 * The map from a look's own units to the field: the pivot comes to its place, and the artwork is sized and turned about
 * it. A figure that turns with its arc has its front turned to the heading; mirrored, it is flipped across its front, so
 * that travelling left it neither stands on its head nor looks backwards. Any other is flipped left to right.
 */
export function placementOf(
  { figure, move, figureHeight }: FigureSetup,
  { pivot }: Look,
  { x, y, headingDeg, scale }: FigurePosition,
): Transform {
  const k = figureHeight / lookOf(figure).height;
  const frontDeg = move.turnsWithArc ? figure.frontDeg : 0;
  const flips = move.mirrored ? -1 : 1;
  const [flipX, flipY] = move.turnsWithArc ? [1, flips] : [flips, 1];
  // Written out: this is worked out for every ghost. Sized, turned by the front, flipped, then turned by the heading.
  const [cosFront, sinFront] = [Math.cos(frontDeg * RADIANS), Math.sin(frontDeg * RADIANS)];
  const [cos, sin] = [Math.cos(headingDeg * RADIANS), Math.sin(headingDeg * RADIANS)];
  const [ax, ay] = [flipX * cosFront * k * scale.across, -flipY * sinFront * k * scale.across];
  const [cx, cy] = [flipX * sinFront * k * scale.down, flipY * cosFront * k * scale.down];
  const a = cos * ax - sin * ay;
  const b = sin * ax + cos * ay;
  const c = cos * cx - sin * cy;
  const d = sin * cx + cos * cy;
  return { a, b, c, d, e: x - a * pivot.x - c * pivot.y, f: y - b * pivot.x - d * pivot.y };
}

export const svgMatrix = ({ a, b, c, d, e, f }: Transform): string =>
  `matrix(${[a, b, c, d].map((value) => Number(value.toFixed(6)) + 0).join(' ')} ${Number(e.toFixed(3)) + 0} ${Number(f.toFixed(3)) + 0})`;

export interface PivotSpot extends Vector {
  readonly name: 'middle' | 'foot' | 'top' | 'left' | 'right' | 'corner';
}

/** Feet are what lies within this share of the height above the lowest spot. */
const FEET_SHARE = 0.04;

const ringsOf = (silhouette: string): readonly (readonly Vector[])[] =>
  silhouette
    .split(/(?=M)/)
    .map((ring) => (ring.match(/-?[\d.]+/g) ?? []).map(Number))
    .map((numbers) =>
      Array.from({ length: numbers.length >> 1 }, (_, i) => ({ x: numbers[2 * i]!, y: numbers[2 * i + 1]! })),
    );

function middleOfFeet(rings: readonly (readonly Vector[])[], ground: number, height: number): number {
  const above = ground - FEET_SHARE * height;
  let [left, right] = [Infinity, -Infinity];
  const reach = (x: number): void => {
    [left, right] = [Math.min(left, x), Math.max(right, x)];
  };
  for (const ring of rings)
    ring.forEach((a, i) => {
      const b = ring[(i + 1) % ring.length]!;
      if (a.y >= above) reach(a.x);
      if (a.y >= above !== b.y >= above) reach(a.x + ((above - a.y) / (b.y - a.y)) * (b.x - a.x));
    });
  return (left + right) / 2;
}

/** Middle, foot, top, sides and corners of what is to be seen of a look, in its own units. */
export function pivotSpots({ silhouette }: Pick<Look, 'silhouette'>): readonly PivotSpot[] {
  const rings = ringsOf(silhouette);
  const [xs, ys] = [rings.flat().map(({ x }) => x), rings.flat().map(({ y }) => y)];
  const least = (values: readonly number[]): number => values.reduce((a, b) => Math.min(a, b));
  const most = (values: readonly number[]): number => values.reduce((a, b) => Math.max(a, b));
  const [left, right, top, foot] = [least(xs), most(xs), least(ys), most(ys)];
  const [x, y] = [(left + right) / 2, (top + foot) / 2];
  return [
    { name: 'middle', x, y },
    { name: 'foot', x: middleOfFeet(rings, foot, foot - top), y: foot },
    { name: 'top', x, y: top },
    { name: 'left', x: left, y },
    { name: 'right', x: right, y },
    ...[left, right].flatMap((side) =>
      [top, foot].map((level): PivotSpot => ({ name: 'corner', x: side, y: level })),
    ),
  ];
}
