import SvgPath from 'svgpath';
import { type Cubic, split } from '../arc/cubic';
import { roundArc } from '../arc/shapes/curves';
import { applyTo, rotationAbout } from '../arc/transform';
import { add, distance, mix, type Vector } from '../arc/vector';
import { ShotError } from '../model/errors';
import { MAX_COORDINATE } from '../model/limits';

/** One run of a path from a “move to” on, as cubics each of which starts where the one before ends. */
export interface SubPath {
  readonly cubics: readonly Cubic[];
  readonly closed: boolean;
}

const line = (start: Vector, end: Vector): Cubic => ({
  start,
  control1: mix(start, end, 1 / 3),
  control2: mix(start, end, 2 / 3),
  end,
});

/** At this turn a circle's length is right to 2e-7. */
const MAX_TURN_DEG = 30;

/**
 * An elliptical arc as cubics. From its ends to its centre as in SVG 1.1, implementation notes F.6.5 and
 * F.6.6: radii that are too small are scaled up.
 */
function ellipticalArc(
  start: Vector,
  [rx, ry, turnDeg, large, sweep, x, y]: readonly number[],
): readonly Cubic[] {
  const end = { x: x!, y: y! };
  let [a, b] = [Math.abs(rx!), Math.abs(ry!)];
  if (a === 0 || b === 0) return [line(start, end)];
  if (distance(start, end) === 0) return [];
  const turn = rotationAbout({ x: 0, y: 0 }, turnDeg!);
  const back = rotationAbout({ x: 0, y: 0 }, -turnDeg!);
  const half = applyTo(back, { x: (start.x - end.x) / 2, y: (start.y - end.y) / 2 });
  const tooSmall = Math.hypot(half.x / a, half.y / b);
  if (tooSmall > 1) [a, b] = [a * tooSmall, b * tooSmall];
  const [px, py] = [half.x / a, half.y / b];
  const square = px * px + py * py;
  const k = (large === sweep ? -1 : 1) * Math.sqrt(Math.max(0, (1 - square) / square));
  const centre = { x: k * py, y: -k * px };
  const from = Math.atan2(py - centre.y, px - centre.x);
  const to = Math.atan2(-py - centre.y, -px - centre.x);
  let sweepDeg = ((to - from) * 180) / Math.PI;
  if (sweep === 1 && sweepDeg < 0) sweepDeg += 360;
  if (sweep === 0 && sweepDeg > 0) sweepDeg -= 360;
  const middle = add(applyTo(turn, { x: centre.x * a, y: centre.y * b }), mix(start, end, 1 / 2));
  const transformed = (p: Vector): Vector => add(applyTo(turn, p), middle);
  const cubics = roundArc(a, b, (from * 180) / Math.PI, sweepDeg, MAX_TURN_DEG);
  return cubics.map((cubic, i) => ({
    start: i === 0 ? start : transformed(cubic.start),
    control1: transformed(cubic.control1),
    control2: transformed(cubic.control2),
    end: i === cubics.length - 1 ? end : transformed(cubic.end),
  }));
}

/** Ends nearer than this share of a sub-path's size are meant to be one. */
const SAME_PLACE = 1e-9;

function finished(cubics: readonly Cubic[], closes: boolean): SubPath | null {
  const real = cubics.filter(
    ({ start, control1, control2, end }) =>
      distance(start, end) > 0 || distance(start, control1) > 0 || distance(end, control2) > 0,
  );
  const [first, last] = [real[0], real[real.length - 1]];
  if (!first || !last) return null;
  if (!closes) return { cubics: real, closed: false };
  const size = Math.max(
    ...real.map(({ start }) => distance(start, first.start)),
    distance(last.end, first.start),
  );
  const isShut = distance(last.end, first.start) <= SAME_PLACE * size;
  // An arc has at least two points: a single segment that comes back to its start gets one in its middle.
  if (isShut && real.length === 1) return { cubics: split({ ...last, end: first.start }, 0.5), closed: true };
  if (isShut) return { cubics: [...real.slice(0, -1), { ...last, end: first.start }], closed: true };
  return { cubics: [...real, line(last.end, first.start)], closed: true };
}

/**
 * The sub-paths of SVG path data: all commands, relative and absolute. Sub-paths without any extent are
 * left out.
 * @throws ShotError `invalid-path` with a sentence
 */
export function readPathData(data: string): readonly SubPath[] {
  refuseHugeNumbers(data);
  const path = SvgPath.from(data.trim());
  const fault = (path as unknown as { err: string }).err;
  if (fault || data.trim() === '')
    throw new ShotError('invalid-path', `This isn’t path data: ${whatIsWrong(fault)}.`);
  const found: SubPath[] = [];
  let cubics: Cubic[] = [];
  let start: Vector = { x: 0, y: 0 };
  let begin: Vector = start;
  const finish = (closes: boolean): void => {
    const subPath = finished(cubics, closes);
    if (subPath) found.push(subPath);
    cubics = [];
  };
  path
    .abs()
    .unshort()
    .iterate(([command, ...n]: [string, ...number[]]) => {
      const at = (i: number): Vector => ({ x: n[i]!, y: n[i + 1]! });
      const draw = (...more: readonly Cubic[]): void => {
        cubics.push(...more);
        start = more[more.length - 1]?.end ?? start;
      };
      switch (command) {
        case 'M':
          finish(false);
          start = begin = at(0);
          break;
        case 'L':
          draw(line(start, at(0)));
          break;
        case 'H':
          draw(line(start, { x: n[0]!, y: start.y }));
          break;
        case 'V':
          draw(line(start, { x: start.x, y: n[0]! }));
          break;
        case 'C':
          draw({ start, control1: at(0), control2: at(2), end: at(4) });
          break;
        case 'Q':
          draw({ start, control1: mix(start, at(0), 2 / 3), control2: mix(at(2), at(0), 2 / 3), end: at(2) });
          break;
        case 'A':
          draw(...ellipticalArc(start, n));
          break;
        case 'Z':
          finish(true);
          start = begin;
          break;
      }
    });
  finish(false);
  if (!found.every(({ cubics: all }) => all.every(isWithinReach)))
    throw new ShotError('invalid-path', 'This isn’t path data: it leads too far outside the field.');
  return found;
}

const isNear = ({ x, y }: Vector): boolean => Math.abs(x) <= MAX_COORDINATE && Math.abs(y) <= MAX_COORDINATE;

/** Whether a cubic lies where a field can hold it; what is no number does not. */
export const isWithinReach = ({ start, control1, control2, end }: Cubic): boolean =>
  [start, control1, control2, end].every(isNear);

const NUMBER = /[-+]?(?:\d+\.?\d*|\.\d+)(?:e[-+]?\d+)?/gi;

/** @throws ShotError `invalid-path` that names the first number which no coordinate can be, and where it stands */
function refuseHugeNumbers(data: string): void {
  for (const { 0: number, index } of data.matchAll(NUMBER))
    if (!(Math.abs(Number(number)) <= MAX_COORDINATE))
      throw new ShotError(
        'invalid-path',
        `This isn’t path data: ${number.slice(0, 20)} at character ${index + 1} is too large.`,
      );
}

function whatIsWrong(fault: string): string {
  const position = /at pos (\d+)/.exec(fault)?.[1];
  if (!fault) return 'there is nothing in it';
  return position ? `it goes wrong at character ${Number(position) + 1}` : 'it must begin with “M”';
}
