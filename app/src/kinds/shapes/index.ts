import type { FreshShapeName, ReadyShape, ShapeKind } from '@humble/core';
import { bounces } from './bounces';
import { eight } from './eight';
import { ellipse } from './ellipse';
import { line } from './line';
import { roundedBox } from './roundedBox';
import type { ShapeChoice, ShapeDescriptor, ShapeNumber, ShapeOf } from './shapeDescriptor';
import { spiral } from './spiral';
import { swing } from './swing';
import { threePlaces } from './threePlaces';
import { toss } from './toss';
import { wave } from './wave';

const descriptors: { readonly [Kind in ShapeKind]: ShapeDescriptor<ShapeOf<Kind>> } = {
  line,
  'three-places': threePlaces,
  ellipse,
  'rounded-box': roundedBox,
  swing,
  toss,
  bounces,
  wave,
  eight,
  spiral,
};

const describe = (kind: ShapeKind): ShapeDescriptor<ReadyShape> =>
  descriptors[kind] as unknown as ShapeDescriptor<ReadyShape>;

export const SHAPE_NAMES = Object.assign(
  {},
  ...Object.values(descriptors).map(({ names }) => names),
) as Readonly<Record<FreshShapeName, string>>;

export function nameOfShape(shape: ReadyShape): string {
  const { names, nameOf } = describe(shape.kind);
  return (nameOf ? names[nameOf(shape)] : Object.values(names)[0])!;
}

export const shapeChoices = (shape: ReadyShape): readonly ShapeChoice<ReadyShape>[] =>
  describe(shape.kind).choices?.(shape) ?? [];

export const shapeNumbers = (shape: ReadyShape): readonly ShapeNumber<ReadyShape>[] =>
  describe(shape.kind).numbers(shape);
