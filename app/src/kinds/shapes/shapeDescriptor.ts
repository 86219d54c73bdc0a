import type { FreshShapeName, ReadyShape, ShapeKind, Vector } from '@humble/core';

/** The ready shapes of one kind. */
export type ShapeOf<Kind extends ShapeKind> = Extract<ReadyShape, { kind: Kind }>;

/** A number of a ready shape that can be typed. */
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

/**
 * Everything the interface has to know of one kind of ready shape. A new kind is a file with one of these, and
 * a line in the table.
 */
export interface ShapeDescriptor<Shape extends ReadyShape> {
  /** The labels of the shapes that it can begin as. */
  readonly names: Partial<Readonly<Record<FreshShapeName, string>>>;
  /** Under which of them a shape goes, where there are several. */
  readonly nameOf?: (shape: Shape) => FreshShapeName;
  /** Its numbers, what matters most first. */
  readonly numbers: (shape: Shape) => readonly ShapeNumber<Shape>[];
}

const FURTHEST = 1e6;

type NumberKeys<Shape> = { [Key in keyof Shape]: Shape[Key] extends number ? Key : never }[keyof Shape];
type PointKeys<Shape> = { [Key in keyof Shape]: Shape[Key] extends Vector ? Key : never }[keyof Shape];
type Range = Partial<Omit<ShapeNumber<unknown>, 'label' | 'value' | 'with'>>;

/** A number of a shape; a size in field units unless its range says otherwise. */
export const number = <Shape extends ReadyShape>(
  shape: Shape,
  key: NumberKeys<Shape>,
  label: string,
  range: Range = {},
): ShapeNumber<Shape> => ({
  label,
  unit: 'units',
  min: 0,
  max: FURTHEST,
  decimals: 1,
  ...range,
  value: shape[key] as number,
  with: (value) => ({ ...shape, [key]: value }),
});

export const ANGLE: Range = { unit: '°', min: -3600, max: 3600 };
export const SIGNED: Range = { min: -FURTHEST };
export const count = (max: number): Range => ({ unit: undefined, min: 1, max, decimals: 0 });

/** Across and down of one of a shape's points. */
export function point<Shape extends ReadyShape>(
  shape: Shape,
  key: PointKeys<Shape>,
  label: string,
): readonly ShapeNumber<Shape>[] {
  const at = shape[key] as Vector;
  const part = (axis: 'x' | 'y', direction: string): ShapeNumber<Shape> => ({
    label: `${label}, ${direction}`,
    unit: 'units',
    min: -FURTHEST,
    max: FURTHEST,
    decimals: 1,
    value: at[axis],
    with: (value) => ({ ...shape, [key]: { ...at, [axis]: value } }),
  });
  return [part('x', 'across'), part('y', 'down')];
}
