import type { ReadyShape, ShapeKind, Vector } from '@humble/core';

/** A number of a ready shape that can be typed. */
export interface ShapeSize {
  readonly label: string;
  readonly unit?: string;
  readonly value: number;
  readonly min: number;
  readonly max: number;
  readonly step?: number;
  readonly decimals: number;
  readonly with: (value: number) => ReadyShape;
}

export const SHAPE_NAMES: Readonly<Record<ShapeKind | 'circle', string>> = {
  line: 'Line',
  ellipse: 'Ellipse',
  circle: 'Circle',
  'three-places': 'Through three places',
  swing: 'Swing',
  toss: 'Toss',
  bounces: 'Bounces',
  wave: 'Wave',
  eight: 'Figure of eight',
  spiral: 'Spiral',
};

export const nameOfShape = (shape: ReadyShape): string =>
  SHAPE_NAMES[shape.kind === 'ellipse' && shape.isRound ? 'circle' : shape.kind];

const FURTHEST = 1e6;

type Numbers<Shape> = { [Key in keyof Shape]: Shape[Key] extends number ? Key : never }[keyof Shape];
type Places<Shape> = { [Key in keyof Shape]: Shape[Key] extends Vector ? Key : never }[keyof Shape];

function size<Shape extends ReadyShape>(
  shape: Shape,
  key: Numbers<Shape>,
  label: string,
  range: Partial<Omit<ShapeSize, 'label' | 'value' | 'with'>> = {},
): ShapeSize {
  return {
    label,
    unit: 'units',
    min: 0,
    max: FURTHEST,
    decimals: 1,
    ...range,
    value: shape[key] as number,
    with: (value) => ({ ...shape, [key]: value }) as ReadyShape,
  };
}

const angle = { unit: '°', min: -3600, max: 3600 } as const;
const signed = { min: -FURTHEST } as const;
const count = (max: number) => ({ unit: undefined, min: 1, max, decimals: 0 });

/** Across and down of one of a shape's places. */
function place<Shape extends ReadyShape>(shape: Shape, key: Places<Shape>, label: string): ShapeSize[] {
  const at = shape[key] as Vector;
  const part = (axis: 'x' | 'y', direction: string): ShapeSize => ({
    label: `${label}, ${direction}`,
    unit: 'units',
    min: -FURTHEST,
    max: FURTHEST,
    decimals: 1,
    value: at[axis],
    with: (value) => ({ ...shape, [key]: { ...at, [axis]: value } }) as ReadyShape,
  });
  return [part('x', 'across'), part('y', 'down')];
}

/** The numbers of a ready shape, what matters most first. */
export function shapeSizes(shape: ReadyShape): readonly ShapeSize[] {
  switch (shape.kind) {
    case 'line':
      return [...place(shape, 'from', 'Start'), ...place(shape, 'to', 'End')];
    case 'ellipse':
      return [
        ...(shape.isRound
          ? [
              {
                ...size(shape, 'radiusX', 'Radius'),
                with: (radius: number): ReadyShape => ({ ...shape, radiusX: radius, radiusY: radius }),
              },
            ]
          : [size(shape, 'radiusX', 'Half its width'), size(shape, 'radiusY', 'Half its height')]),
        size(shape, 'startDeg', 'Starts at', angle),
        ...(shape.isRound ? [] : [size(shape, 'turnDeg', 'Turned by', angle)]),
        ...place(shape, 'centre', 'Middle'),
      ];
    case 'three-places':
      return [
        ...place(shape, 'from', 'Start'),
        ...place(shape, 'through', 'Through'),
        ...place(shape, 'to', 'End'),
      ];
    case 'swing':
      return [
        size(shape, 'length', 'Length'),
        size(shape, 'fromDeg', 'From', angle),
        size(shape, 'toDeg', 'To', angle),
        ...place(shape, 'hang', 'Hangs from'),
      ];
    case 'toss':
      return [
        size(shape, 'height', 'Height above the ends'),
        ...place(shape, 'from', 'From'),
        ...place(shape, 'to', 'To'),
      ];
    case 'bounces':
      return [
        size(shape, 'count', 'Bounces', count(40)),
        size(shape, 'restitution', 'Speed kept at a hit', {
          unit: undefined,
          min: 0.05,
          max: 1,
          step: 0.05,
          decimals: 2,
        }),
        ...place(shape, 'from', 'Dropped from'),
        ...place(shape, 'to', 'Rests at'),
      ];
    case 'wave':
      return [
        size(shape, 'count', 'Waves', count(60)),
        size(shape, 'height', 'Middle to crest', signed),
        ...place(shape, 'from', 'Start'),
        ...place(shape, 'to', 'End'),
      ];
    case 'eight':
      return [
        size(shape, 'width', 'Width'),
        size(shape, 'height', 'Height'),
        size(shape, 'turnDeg', 'Turned by', angle),
        ...place(shape, 'centre', 'Middle'),
      ];
    case 'spiral':
      return [
        size(shape, 'turns', 'Turns', { unit: undefined, min: -60, max: 60, step: 0.25, decimals: 2 }),
        size(shape, 'innerRadius', 'Inner radius'),
        size(shape, 'outerRadius', 'Outer radius'),
        size(shape, 'startDeg', 'Starts at', angle),
        ...place(shape, 'centre', 'Middle'),
      ];
  }
}
