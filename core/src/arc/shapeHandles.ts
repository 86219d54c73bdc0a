import type { ReadyShape, ShapeKind } from '../shot/schema';
import { applyTo, rotationAbout, type Transform } from './transform';
import { add, directionDeg, distance, mix, scale, subtract, type Vector, wrapDeg } from './vector';

/** Something on a ready shape to take hold of, each with a meaning of its own. */
export interface ShapeHandle {
  readonly id: string;
  /** What dragging it does, as a few words. */
  readonly hint: string;
  readonly at: Vector;
}

const at = (centre: Vector, angleDeg: number, radius: number): Vector => ({
  x: centre.x + radius * Math.cos((angleDeg * Math.PI) / 180),
  y: centre.y + radius * Math.sin((angleDeg * Math.PI) / 180),
});

const angleFrom = (centre: Vector, to: Vector): number => directionDeg(to.x - centre.x, to.y - centre.y);

/** Where something hangs at an angle from straight down, positive to the right. */
const hanging = (hang: Vector, deg: number, length: number): Vector => at(hang, 90 - deg, length);

/** The angle nearest to an earlier one that points the same way, so that dragging round goes on counting. */
const nearestTurn = (deg: number, to: number): number => to + wrapDeg(deg - to);

const handle = (id: string, hint: string, place: Vector): ShapeHandle => ({ id, hint, at: place });

/** The handles of a ready shape. */
export function shapeHandles(shape: ReadyShape): readonly ShapeHandle[] {
  switch (shape.kind) {
    case 'line':
      return [handle('from', 'move the start', shape.from), handle('to', 'move the end', shape.to)];
    case 'ellipse': {
      const turned = (deg: number, radius: number): Vector => at(shape.centre, shape.turnDeg + deg, radius);
      const y = handle('y', 'change the height', turned(90, shape.radiusY));
      return [
        handle('centre', 'move the whole', shape.centre),
        handle(
          'x',
          shape.isRound ? 'change the radius' : 'change the width and turn',
          turned(0, shape.radiusX),
        ),
        ...(shape.isRound ? [] : [y]),
      ];
    }
    case 'three-places':
      return [
        handle('from', 'move the start', shape.from),
        handle('through', 'bend it through here', shape.through),
        handle('to', 'move the end', shape.to),
      ];
    case 'swing':
      return [
        handle('hang', 'move what it hangs from', shape.hang),
        handle('from', 'set the angle it starts at', hanging(shape.hang, shape.fromDeg, shape.length)),
        handle('to', 'set the angle it ends at', hanging(shape.hang, shape.toDeg, shape.length)),
        handle(
          'length',
          'change the length',
          hanging(shape.hang, (shape.fromDeg + shape.toDeg) / 2, shape.length),
        ),
      ];
    case 'toss':
      return [
        handle('from', 'move the start', shape.from),
        handle('to', 'move where it lands', shape.to),
        handle('top', 'change the height', {
          x: (shape.from.x + shape.to.x) / 2,
          y: Math.min(shape.from.y, shape.to.y) - shape.height,
        }),
      ];
    case 'bounces':
      return [
        handle('from', 'move where it is let go', shape.from),
        handle('to', 'move where it comes to rest', shape.to),
        handle('bounce', 'change how high it bounces', firstBounce(shape)),
      ];
    case 'wave':
      return [
        handle('from', 'move the start', shape.from),
        handle('to', 'move the end', shape.to),
        handle('crest', 'change the height', crestOf(shape)),
      ];
    case 'eight':
      return [
        handle('centre', 'move the whole', shape.centre),
        handle('x', 'change the width and turn', at(shape.centre, shape.turnDeg, shape.width / 2)),
        handle('y', 'change the height', at(shape.centre, shape.turnDeg + 90, shape.height / 2)),
      ];
    case 'spiral':
      return [
        handle('centre', 'move the whole', shape.centre),
        handle(
          'inner',
          'change the inner radius and turn',
          at(shape.centre, shape.startDeg, shape.innerRadius),
        ),
        handle(
          'outer',
          'change the outer radius and turns',
          at(shape.centre, shape.startDeg + 360 * shape.turns, shape.outerRadius),
        ),
      ];
  }
}

type Of<Kind extends ShapeKind> = Extract<ReadyShape, { kind: Kind }>;

function firstBounce({ from, to, count, restitution }: Of<'bounces'>): Vector {
  const whole =
    1 + Array.from({ length: count }, (_, i) => 2 * restitution ** (i + 1)).reduce((a, b) => a + b, 0);
  return {
    x: from.x + ((to.x - from.x) * (1 + restitution)) / whole,
    y: to.y - Math.max(0, to.y - from.y) * restitution ** 2,
  };
}

function crestOf({ from, to, count, height }: Of<'wave'>): Vector {
  const length = distance(from, to);
  const forward = length > 0 ? scale(subtract(to, from), 1 / length) : { x: 1, y: 0 };
  return add(mix(from, to, 1 / (4 * count)), { x: forward.y * height, y: -forward.x * height });
}

const alongTurn = (centre: Vector, turnDeg: number, to: Vector): number => {
  const d = subtract(applyTo(rotationAbout(centre, -turnDeg), to), centre);
  return d.x;
};

const moveWhole = (shape: ReadyShape, from: Vector, to: Vector): ReadyShape =>
  transformedShape(shape, { a: 1, b: 0, c: 0, d: 1, e: to.x - from.x, f: to.y - from.y })!;

const LEAST_RESTITUTION = 0.05;

/** The shape with one of its handles put somewhere else. An unknown handle changes nothing. */
export function withShapeHandle(shape: ReadyShape, id: string, to: Vector): ReadyShape {
  if ((id === 'from' || id === 'to' || id === 'through') && shape.kind !== 'swing' && id in shape)
    return { ...shape, [id]: to };
  switch (shape.kind) {
    case 'ellipse': {
      const radius = distance(shape.centre, to);
      if (id === 'centre') return { ...shape, centre: to };
      if (id === 'x' && shape.isRound) return { ...shape, radiusX: radius, radiusY: radius };
      if (id === 'x')
        return {
          ...shape,
          radiusX: radius,
          turnDeg: nearestTurn(angleFrom(shape.centre, to), shape.turnDeg),
        };
      if (id === 'y') return { ...shape, radiusY: Math.abs(alongTurn(shape.centre, shape.turnDeg + 90, to)) };
      return shape;
    }
    case 'swing': {
      if (id === 'hang') return moveWhole(shape, shape.hang, to);
      if (id === 'length') return { ...shape, length: distance(shape.hang, to) };
      const key = id === 'from' ? 'fromDeg' : id === 'to' ? 'toDeg' : null;
      return key ? { ...shape, [key]: nearestTurn(90 - angleFrom(shape.hang, to), shape[key]) } : shape;
    }
    case 'toss':
      return id === 'top'
        ? { ...shape, height: Math.max(0, Math.min(shape.from.y, shape.to.y) - to.y) }
        : shape;
    case 'bounces': {
      const drop = shape.to.y - shape.from.y;
      if (id !== 'bounce' || drop <= 0) return shape;
      const share = Math.min(1, Math.max(0, (shape.to.y - to.y) / drop));
      return { ...shape, restitution: Math.max(LEAST_RESTITUTION, Math.sqrt(share)) };
    }
    case 'wave': {
      if (id !== 'crest') return shape;
      const forward = angleFrom(shape.from, shape.to);
      return { ...shape, height: alongTurn(shape.from, forward - 90, to) };
    }
    case 'eight': {
      if (id === 'centre') return { ...shape, centre: to };
      if (id === 'x')
        return {
          ...shape,
          width: 2 * distance(shape.centre, to),
          turnDeg: nearestTurn(angleFrom(shape.centre, to), shape.turnDeg),
        };
      return id === 'y'
        ? { ...shape, height: 2 * Math.abs(alongTurn(shape.centre, shape.turnDeg + 90, to)) }
        : shape;
    }
    case 'spiral': {
      const angle = angleFrom(shape.centre, to);
      if (id === 'centre') return { ...shape, centre: to };
      if (id === 'inner')
        return {
          ...shape,
          innerRadius: distance(shape.centre, to),
          startDeg: nearestTurn(angle, shape.startDeg),
        };
      if (id !== 'outer') return shape;
      const endDeg = nearestTurn(angle, shape.startDeg + 360 * shape.turns);
      return { ...shape, outerRadius: distance(shape.centre, to), turns: (endDeg - shape.startDeg) / 360 };
    }
    default:
      return shape;
  }
}

/** Maps that keep shapes alike: a turn, one scale and a shift, without a mirror. */
function similarity({ a, b, c, d }: Transform): { factor: number; deg: number } | null {
  const factor = Math.hypot(a, b);
  const size = Math.max(Math.abs(a), Math.abs(b), Math.abs(c), Math.abs(d));
  if (Math.abs(a - d) > 1e-9 * size || Math.abs(b + c) > 1e-9 * size) return null;
  return { factor, deg: directionDeg(a, b) };
}

/** Weight pulls down in these: they cannot be turned and stay what they are. */
const UPRIGHT: ReadonlySet<ShapeKind> = new Set(['toss', 'bounces']);

/** The shape moved, turned or scaled as a whole; null when the result is no such shape any more. */
export function transformedShape(shape: ReadyShape, transform: Transform): ReadyShape | null {
  const alike = similarity(transform);
  if (!alike || (UPRIGHT.has(shape.kind) && Math.abs(alike.deg) > 1e-9)) return null;
  const { factor, deg } = alike;
  const place = (p: Vector): Vector => applyTo(transform, p);
  switch (shape.kind) {
    case 'line':
    case 'bounces':
      return { ...shape, from: place(shape.from), to: place(shape.to) };
    case 'three-places':
      return { ...shape, from: place(shape.from), through: place(shape.through), to: place(shape.to) };
    case 'toss':
    case 'wave':
      return { ...shape, from: place(shape.from), to: place(shape.to), height: shape.height * factor };
    case 'ellipse':
      return {
        ...shape,
        centre: place(shape.centre),
        radiusX: shape.radiusX * factor,
        radiusY: shape.radiusY * factor,
        turnDeg: shape.turnDeg + deg,
      };
    case 'swing':
      return {
        ...shape,
        hang: place(shape.hang),
        length: shape.length * factor,
        fromDeg: shape.fromDeg - deg,
        toDeg: shape.toDeg - deg,
      };
    case 'eight':
      return {
        ...shape,
        centre: place(shape.centre),
        width: shape.width * factor,
        height: shape.height * factor,
        turnDeg: shape.turnDeg + deg,
      };
    case 'spiral':
      return {
        ...shape,
        centre: place(shape.centre),
        innerRadius: shape.innerRadius * factor,
        outerRadius: shape.outerRadius * factor,
        startDeg: shape.startDeg + deg,
      };
  }
}
