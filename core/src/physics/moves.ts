import { outOfRange } from '../model/errors';
import type { Field } from '../model/schema';
import { freshShape } from '../arc/readyShapes';
import { isPhysical, type PhysicalShape } from './course';
import type { Rolls } from './rolling';

export type { PhysicalShape, Rolls };

export type PhysicalKind = 'pendulum' | 'fall' | 'bounces' | 'toss' | 'slope';

export interface PhysicalSize {
  readonly name: 'length' | 'angle' | 'height' | 'across' | 'count' | 'restitution' | 'steepness';
  /** A length is in millimetres; a share is 0 to 1. */
  readonly measure: 'mm' | 'degrees' | 'count' | 'share';
  readonly least: number;
  readonly most: number;
  readonly value: number;
  readonly with: (value: number) => PhysicalShape;
}

const MAX_MM = 100_000;
const MIN_MM = 1;

type ShapeOf<Kind extends PhysicalShape['kind']> = Extract<PhysicalShape, { kind: Kind }>;

const length = (
  name: PhysicalSize['name'],
  units: number,
  unitsPerMm: number,
  change: (units: number) => PhysicalShape,
  least = MIN_MM,
): PhysicalSize => ({
  name,
  measure: 'mm',
  least,
  most: MAX_MM,
  value: units / unitsPerMm,
  with: (mm) => change(mm * unitsPerMm),
});

const acrossTo = <Shape extends ShapeOf<'toss' | 'bounces'>>(shape: Shape, units: number): Shape => ({
  ...shape,
  to: { ...shape.to, x: shape.from.x + (shape.to.x < shape.from.x ? -units : units) },
});

function pendulumSizes(shape: ShapeOf<'swing'>, unitsPerMm: number): readonly PhysicalSize[] {
  return [
    length('length', shape.length, unitsPerMm, (to) => ({ ...shape, length: to })),
    {
      name: 'angle',
      measure: 'degrees',
      least: 1,
      most: 175,
      value: Math.abs(shape.fromDeg),
      with: (deg) => {
        const fromDeg = shape.fromDeg < 0 ? -deg : deg;
        return { ...shape, fromDeg, toDeg: -fromDeg };
      },
    },
  ];
}

function bouncesSizes(shape: ShapeOf<'bounces'>, unitsPerMm: number): readonly PhysicalSize[] {
  const { from, to } = shape;
  return [
    length('height', to.y - from.y, unitsPerMm, (units) => ({
      ...shape,
      from: { ...from, y: to.y - units },
    })),
    length('across', Math.abs(to.x - from.x), unitsPerMm, (units) => acrossTo(shape, units), 0),
    {
      name: 'count',
      measure: 'count',
      least: 1,
      most: 40,
      value: shape.count,
      with: (count) => ({ ...shape, count }),
    },
    {
      name: 'restitution',
      measure: 'share',
      least: 0.05,
      most: 1,
      value: shape.restitution,
      with: (restitution) => ({ ...shape, restitution }),
    },
  ];
}

function tossSizes(shape: ShapeOf<'toss'>, unitsPerMm: number): readonly PhysicalSize[] {
  return [
    length('height', shape.height, unitsPerMm, (height) => ({ ...shape, height })),
    length('across', Math.abs(shape.to.x - shape.from.x), unitsPerMm, (units) => acrossTo(shape, units), 0),
  ];
}

function slopeSizes(shape: ShapeOf<'line'>, unitsPerMm: number): readonly PhysicalSize[] {
  const { from, to } = shape;
  const [across, down] = [to.x - from.x, to.y - from.y];
  const steepDeg = (Math.atan2(down, Math.abs(across)) * 180) / Math.PI;
  const reach = Math.hypot(across, down);
  const leading = (units: number, deg: number): PhysicalShape => {
    const turn = (deg * Math.PI) / 180;
    const side = across < 0 ? -1 : 1;
    // Straight down is straight down, whatever a cosine says.
    const x = deg === 90 ? from.x : from.x + side * units * Math.cos(turn);
    return { ...shape, to: { x, y: from.y + units * Math.sin(turn) } };
  };
  if (across === 0) return [length('height', down, unitsPerMm, (units) => leading(units, 90))];
  return [
    length('length', reach, unitsPerMm, (units) => leading(units, steepDeg)),
    {
      name: 'steepness',
      measure: 'degrees',
      least: 1,
      most: 89,
      value: steepDeg,
      with: (deg) => leading(reach, deg),
    },
  ];
}

export function physicalSizes(shape: PhysicalShape, unitsPerMm: number): readonly PhysicalSize[] {
  switch (shape.kind) {
    case 'swing':
      return pendulumSizes(shape, unitsPerMm);
    case 'bounces':
      return bouncesSizes(shape, unitsPerMm);
    case 'toss':
      return tossSizes(shape, unitsPerMm);
    case 'line':
      return slopeSizes(shape, unitsPerMm);
  }
}

export function physicalKindOf(shape: PhysicalShape): PhysicalKind {
  if (shape.kind === 'line') return shape.from.x === shape.to.x ? 'fall' : 'slope';
  return shape.kind === 'swing' ? 'pendulum' : shape.kind;
}

export function freshPhysical(kind: PhysicalKind, field: Pick<Field, 'width' | 'height'>): PhysicalShape {
  const name = kind === 'pendulum' ? 'swing' : kind === 'fall' || kind === 'slope' ? 'line' : kind;
  const shape = freshShape(name, field);
  if (!isPhysical(shape)) throw outOfRange('That isn’t moved by physics.');
  if (shape.kind !== 'line') return shape;
  const { width, height } = field;
  const [top, bottom] = [height * 0.2, height * 0.8];
  return kind === 'fall'
    ? { ...shape, from: { x: width / 2, y: top }, to: { x: width / 2, y: bottom } }
    : { ...shape, from: { x: width * 0.2, y: height * 0.3 }, to: { x: width * 0.8, y: height * 0.6 } };
}
