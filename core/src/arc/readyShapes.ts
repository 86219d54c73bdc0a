import type { ReadyShape } from '../shot/schema';
import { fromCubics } from './cubicChain';
import type { Cubic } from './cubic';
import type { PointShape } from './smoothing';
import { applyTo, rotationAbout } from './transform';
import { add, distance, mix, scale, subtract, type Vector } from './vector';

/** The points of a ready shape and whether it closes. */
export interface ShapePoints {
  readonly points: readonly PointShape[];
  readonly closed: boolean;
}

const RADIANS = Math.PI / 180;
/** No cubic of a round shape turns further than this: a circle is true to 4 millionths of its radius. */
const LARGEST_TURN_DEG = 45;

const line = (start: Vector, end: Vector): Cubic => ({
  start,
  control1: mix(start, end, 1 / 3),
  control2: mix(start, end, 2 / 3),
  end,
});

/** A parabola from its ends and the place where their tangents meet. */
const parabola = (start: Vector, meeting: Vector, end: Vector): Cubic => ({
  start,
  control1: mix(start, meeting, 2 / 3),
  control2: mix(end, meeting, 2 / 3),
  end,
});

/** Cubics along a curve given with its derivative, through equal steps of its parameter (Hermite's form). */
function along(
  place: (t: number) => Vector,
  rate: (t: number) => Vector,
  from: number,
  to: number,
  pieces: number,
) {
  const step = (to - from) / pieces;
  return Array.from({ length: pieces }, (_, i): Cubic => {
    const [t, u] = [from + i * step, from + (i + 1) * step];
    const [start, end] = [place(t), place(u)];
    return {
      start,
      control1: add(start, scale(rate(t), step / 3)),
      control2: subtract(end, scale(rate(u), step / 3)),
      end,
    };
  });
}

/**
 * Part of an ellipse about the origin; the handles have the length that suits a circle best (4/3·tan of a
 * quarter of the turn).
 * @param largestTurnDeg no cubic turns further; the error grows with its sixth power
 */
export function roundArc(
  radiusX: number,
  radiusY: number,
  fromDeg: number,
  sweepDeg: number,
  largestTurnDeg = LARGEST_TURN_DEG,
): Cubic[] {
  const pieces = Math.max(1, Math.ceil(Math.abs(sweepDeg) / largestTurnDeg - 1e-9));
  const step = (sweepDeg * RADIANS) / pieces;
  const handle = (4 / 3) * Math.tan(step / 4);
  return Array.from({ length: pieces }, (_, i): Cubic => {
    const from = fromDeg * RADIANS + i * step;
    const to = from + step;
    const place = (angle: number): Vector => ({ x: radiusX * Math.cos(angle), y: radiusY * Math.sin(angle) });
    const rate = (angle: number): Vector => ({ x: -radiusX * Math.sin(angle), y: radiusY * Math.cos(angle) });
    return {
      start: place(from),
      control1: add(place(from), scale(rate(from), handle)),
      control2: subtract(place(to), scale(rate(to), handle)),
      end: place(to),
    };
  });
}

function mapped(cubics: readonly Cubic[], map: (p: Vector) => Vector): Cubic[] {
  return cubics.map(({ start, control1, control2, end }) => ({
    start: map(start),
    control1: map(control1),
    control2: map(control2),
    end: map(end),
  }));
}

/** Turned about the origin, then moved to a centre. */
const placed = (centre: Vector, turnDeg: number) => {
  const turned = rotationAbout({ x: 0, y: 0 }, turnDeg);
  return (p: Vector): Vector => add(applyTo(turned, p), centre);
};

type Of<Kind extends ReadyShape['kind']> = Extract<ReadyShape, { kind: Kind }>;

/** Part of the circle through three places; straight when they lie in one line. */
function throughThree({ from, through, to }: Of<'three-places'>): Cubic[] {
  const [b, c] = [subtract(through, from), subtract(to, from)];
  const twiceArea = 2 * (b.x * c.y - b.y * c.x);
  const size = Math.max(distance(from, through), distance(through, to), distance(from, to));
  if (Math.abs(twiceArea) <= 1e-9 * size * size) return [line(from, through), line(through, to)];
  const [bb, cc] = [b.x * b.x + b.y * b.y, c.x * c.x + c.y * c.y];
  const centre = add(from, { x: (c.y * bb - b.y * cc) / twiceArea, y: (b.x * cc - c.x * bb) / twiceArea });
  const angle = (p: Vector): number => Math.atan2(p.y - centre.y, p.x - centre.x) / RADIANS;
  const sign = Math.sign(twiceArea);
  const sweep = sign * (((sign * (angle(to) - angle(from))) % 360) + 360);
  const radius = distance(centre, from);
  const cubics = mapped(roundArc(radius, radius, angle(from), sweep % 360), (p) => add(p, centre));
  // The ends are where they were put, to the last digit.
  return cubics.map((cubic, i) => ({
    ...cubic,
    start: i === 0 ? from : cubic.start,
    end: i === cubics.length - 1 ? to : cubic.end,
  }));
}

/** A throw under steady weight: two parts of one parabola that meet at the top. */
function toss({ from, to, height }: Of<'toss'>): Cubic[] {
  const top = Math.min(from.y, to.y) - height;
  const [rise, fall] = [Math.sqrt(from.y - top), Math.sqrt(to.y - top)];
  if (rise + fall === 0) return [line(from, to)];
  const apex = { x: from.x + ((to.x - from.x) * rise) / (rise + fall), y: top };
  // Each half's tangents meet halfway across, at the height of the top.
  const half = (start: Vector, end: Vector): Cubic =>
    parabola(start, { x: (start.x + end.x) / 2, y: top }, end);
  if (rise === 0) return [half(from, to)];
  if (fall === 0) return [half(from, to)];
  return [half(from, apex), half(apex, to)];
}

/**
 * A drop and its bounces at steady sideways speed. Each bounce takes the restitution's share of the time
 * of the one before and reaches its square of the height.
 */
function bounces({ from, to, count, restitution }: Of<'bounces'>): Cubic[] {
  const drop = Math.max(0, to.y - from.y);
  const times = Array.from({ length: count }, (_, i) => 2 * restitution ** (i + 1));
  const whole = 1 + times.reduce((sum, time) => sum + time, 0);
  const across = (time: number): number => from.x + ((to.x - from.x) * time) / whole;
  const half = (start: Vector, end: Vector): Cubic =>
    parabola(start, { x: (start.x + end.x) / 2, y: Math.min(start.y, end.y) }, end);
  const cubics = [half(from, { x: across(1), y: to.y })];
  let time = 1;
  times.forEach((duration, i) => {
    const apex = { x: across(time + duration / 2), y: to.y - drop * restitution ** (2 * (i + 1)) };
    const end = i === count - 1 ? to : { x: across(time + duration), y: to.y };
    cubics.push(half(cubics[cubics.length - 1]!.end, apex), half(apex, end));
    time += duration;
  });
  return cubics;
}

/** Controls of a quarter of a sine, as shares of a quarter period and of the height. */
const SINE_QUARTER = {
  near: 0.512286623256592 / (Math.PI / 2),
  nearHeight: 0.512286623256592,
  far: 1.002313685767899 / (Math.PI / 2),
};
/** Length of the handles between two crests so that the middle is as steep as a sine, of half a period. */
const CREST_HANDLE = (Math.PI - 2) / Math.PI;

/** A sine about the line from one end to the other, with points at its ends, crests and troughs. */
function wave({ from, to, count, height }: Of<'wave'>): Cubic[] {
  const length = distance(from, to);
  const forward = length > 0 ? scale(subtract(to, from), 1 / length) : { x: 1, y: 0 };
  const left = { x: forward.y, y: -forward.x };
  const quarter = length / count / 4;
  const at = (x: number, y: number): Vector => add(add(from, scale(forward, x)), scale(left, y));
  const crest = (i: number): { x: number; y: number } => ({
    x: (2 * i + 1) * quarter,
    y: i % 2 === 0 ? height : -height,
  });
  const first = crest(0);
  const last = crest(2 * count - 1);
  const cubics: Cubic[] = [
    {
      start: from,
      control1: at(SINE_QUARTER.near * quarter, SINE_QUARTER.nearHeight * height),
      control2: at(SINE_QUARTER.far * quarter, height),
      end: at(first.x, first.y),
    },
  ];
  for (let i = 1; i < 2 * count; i++) {
    const [a, b] = [crest(i - 1), crest(i)];
    const handle = CREST_HANDLE * 2 * quarter;
    cubics.push({
      start: at(a.x, a.y),
      control1: at(a.x + handle, a.y),
      control2: at(b.x - handle, b.y),
      end: at(b.x, b.y),
    });
  }
  cubics.push({
    start: at(last.x, last.y),
    control1: at(length - SINE_QUARTER.far * quarter, last.y),
    control2: at(length - SINE_QUARTER.near * quarter, SINE_QUARTER.nearHeight * last.y),
    end: to,
  });
  return cubics;
}

/** Lemniscate of Gerono: twice up and down while once to and fro. It starts at its crossing, to the right. */
function eight({ centre, width, height, turnDeg }: Of<'eight'>): Cubic[] {
  const [w, h] = [width / 2, height / 2];
  const cubics = along(
    (t) => ({ x: w * Math.sin(t), y: -h * Math.sin(2 * t) }),
    (t) => ({ x: w * Math.cos(t), y: -2 * h * Math.cos(2 * t) }),
    0,
    2 * Math.PI,
    8,
  );
  return mapped(cubics, placed(centre, turnDeg));
}

/** A spiral whose radius grows evenly with its turn (Archimedes). */
function spiral({ centre, innerRadius, outerRadius, turns, startDeg }: Of<'spiral'>): Cubic[] {
  const sweep = turns * 2 * Math.PI;
  const start = startDeg * RADIANS;
  const pieces = Math.max(1, Math.ceil(Math.abs(turns) * 8));
  const radius = (t: number): number => innerRadius + (outerRadius - innerRadius) * t;
  const place = (t: number): Vector => {
    const angle = start + sweep * t;
    return { x: centre.x + radius(t) * Math.cos(angle), y: centre.y + radius(t) * Math.sin(angle) };
  };
  const rate = (t: number): Vector => {
    const angle = start + sweep * t;
    const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
    const growth = outerRadius - innerRadius;
    return { x: growth * cos - radius(t) * sweep * sin, y: growth * sin + radius(t) * sweep * cos };
  };
  return along(place, rate, 0, 1, pieces);
}

function cubicsOf(shape: ReadyShape): {
  cubics: readonly Cubic[];
  closed: boolean;
  corners?: (i: number) => boolean;
} {
  switch (shape.kind) {
    case 'line':
      return { cubics: [line(shape.from, shape.to)], closed: false };
    case 'ellipse':
      return {
        cubics: mapped(
          roundArc(shape.radiusX, shape.isRound ? shape.radiusX : shape.radiusY, shape.startDeg, 360),
          placed(shape.centre, shape.turnDeg),
        ),
        closed: true,
      };
    case 'three-places':
      return { cubics: throughThree(shape), closed: false };
    case 'swing':
      return {
        // Straight down is 90° in the field's count, and to the right is against the clock from there.
        cubics: mapped(
          roundArc(shape.length, shape.length, 90 - shape.fromDeg, shape.fromDeg - shape.toDeg),
          (p) => add(p, shape.hang),
        ),
        closed: false,
      };
    case 'toss':
      return { cubics: toss(shape), closed: false };
    case 'bounces':
      return { cubics: bounces(shape), closed: false, corners: (i) => i % 2 === 1 };
    case 'wave':
      return { cubics: wave(shape), closed: false };
    case 'eight':
      return { cubics: eight(shape), closed: true };
    case 'spiral':
      return { cubics: spiral(shape), closed: false };
  }
}

/** The points of a ready shape. Ends are where they were put; round parts are true to 5e-6 of their radius. */
export function shapePoints(shape: ReadyShape): ShapePoints {
  const { cubics, closed, corners } = cubicsOf(shape);
  const points = fromCubics(cubics, closed, corners);
  return { points: shape.reversed ? reversedPoints(points, closed) : points, closed };
}

/** The same points the other way round; a closed arc keeps its first point. */
export function reversedPoints<P extends PointShape>(points: readonly P[], closed: boolean): readonly P[] {
  const turned = [...points].reverse().map((point) => ({
    ...point,
    in: point.out,
    out: point.in,
    // What leaned towards the next point leans towards the one before, which is the next one now.
    shaping: point.shaping ? { ...point.shaping, lean: -point.shaping.lean } : point.shaping,
  }));
  if (!closed) return turned;
  return [turned[turned.length - 1]!, ...turned.slice(0, -1)];
}
