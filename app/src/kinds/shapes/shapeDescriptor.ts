import { shapesWords as words } from '../../words/shapes';
import type { FreshShapeName, ReadyShape, ShapeKind, Vector } from '@humble/core';

export type ShapeOf<Kind extends ShapeKind> = Extract<ReadyShape, { kind: Kind }>;

export interface ShapeNumber<Shape> {
  readonly label: string;
  readonly unit?: string;
  readonly value: number;
  readonly min: number;
  readonly max: number;
  readonly step?: number;
  readonly decimals: number;
  readonly with: (value: number) => Shape;
}

/** One of a few values of a ready shape that have a name; what else it can be is a number. */
export interface ShapeChoice<Shape> {
  readonly label: string;
  readonly options: readonly { readonly value: number; readonly label: string }[];
  readonly value: number | null;
  readonly with: (value: number) => Shape;
}

/**
 * Everything the interface has to know of one kind of ready shape. A new kind is a file with one of these, and
 * a line in the table.
 */
export interface ShapeDescriptor<Shape extends ReadyShape> {
  readonly names: Partial<Readonly<Record<FreshShapeName, string>>>;
  readonly nameOf?: (shape: Shape) => FreshShapeName;
  readonly numbers: (shape: Shape) => readonly ShapeNumber<Shape>[];
  /** What can be chosen by its name instead of typed. */
  readonly choices?: (shape: Shape) => readonly ShapeChoice<Shape>[];
}

const MAX_COORDINATE = 1e6;

type NumberKeys<Shape> = { [Key in keyof Shape]: Shape[Key] extends number ? Key : never }[keyof Shape];
type PointKeys<Shape> = { [Key in keyof Shape]: Shape[Key] extends Vector ? Key : never }[keyof Shape];
type Range = Partial<Omit<ShapeNumber<unknown>, 'label' | 'value' | 'with'>>;

export const number = <Shape extends ReadyShape>(
  shape: Shape,
  key: NumberKeys<Shape>,
  label: string,
  range: Range = {},
): ShapeNumber<Shape> => ({
  label,
  unit: 'units',
  min: 0,
  max: MAX_COORDINATE,
  decimals: 1,
  ...range,
  value: shape[key] as number,
  with: (value) => ({ ...shape, [key]: value }),
});

/** The sides of a round shape by their angle, 0 at the right and on clockwise. */
const SIDES = [
  { value: 270, label: words.top },
  { value: 0, label: words.right },
  { value: 90, label: words.bottom },
  { value: 180, label: words.left },
] as const;

/** On which side of the page a closed shape starts. One that is turned aslant has no such sides. */
export function startSide<Shape extends ReadyShape & { readonly startDeg: number; readonly turnDeg: number }>(
  shape: Shape,
): readonly ShapeChoice<Shape>[] {
  if (shape.turnDeg % 90 !== 0) return [];
  const seen = (((shape.startDeg + shape.turnDeg) % 360) + 360) % 360;
  return [
    {
      label: words.startsAtThe,
      options: SIDES,
      value: SIDES.find(({ value }) => Math.abs(value - seen) < 1e-9)?.value ?? null,
      with: (side) => ({ ...shape, startDeg: side - shape.turnDeg }),
    },
  ];
}

export const ANGLE: Range = { unit: '°', min: -3600, max: 3600 };
export const SIGNED: Range = { min: -MAX_COORDINATE };
export const count = (max: number): Range => ({ unit: undefined, min: 1, max, decimals: 0 });

export function point<Shape extends ReadyShape>(
  shape: Shape,
  key: PointKeys<Shape>,
  label: string,
): readonly ShapeNumber<Shape>[] {
  const at = shape[key] as Vector;
  const part = (axis: 'x' | 'y', direction: string): ShapeNumber<Shape> => ({
    label: `${label}, ${direction}`,
    unit: 'units',
    min: -MAX_COORDINATE,
    max: MAX_COORDINATE,
    decimals: 1,
    value: at[axis],
    with: (value) => ({ ...shape, [key]: { ...at, [axis]: value } }),
  });
  return [part('x', 'across'), part('y', 'down')];
}
