import type { Vector } from '../arc/vector';
import type { Figure } from '../model/schema';
import { type DrawnPair, drawnPair, type MatchingSpots } from './drawnPair';
import { turned } from './similarity';

/** How far the second drawing is reached: by what goes with no pin, and by each pin; 0 to 1. */
export interface Shares {
  readonly plain: number;
  readonly ofPins: readonly number[];
}

/** The outline between two drawings, in the units of the first one's picture. */
export interface InBetween {
  /** x and y of each point in turn, ring by ring. */
  readonly rings: readonly Float64Array[];
  readonly pins: readonly Vector[];
}

/** How much a spot goes with each pin; what is left to 1 goes with none. */
interface Going {
  readonly pin: number;
  readonly part: number;
}

interface Bows {
  readonly x: Float64Array;
  readonly y: Float64Array;
}

const bowsOf = ({ pins }: DrawnPair): Bows => ({
  x: Float64Array.from(pins, ({ bow }) => bow?.x ?? 0),
  y: Float64Array.from(pins, ({ bow }) => bow?.y ?? 0),
});

/** Half-way a spot is off its straight way by the whole bow: 4f(1 − f) of it. */
const bowedBy = (share: number): number => 4 * share * (1 - share);

function writeSpots(pair: DrawnPair, spots: MatchingSpots, shares: Shares, bows: Bows): Float64Array {
  const { whole, firstPivot } = pair;
  const { first, second, pinBefore, pinAfter, partAfter } = spots;
  const out = new Float64Array(2 * first.length);
  let [turnedFor, cos, sin] = [NaN, 1, 0];
  for (let i = 0; i < first.length; i++) {
    const [before, after, part] = [pinBefore[i]!, pinAfter[i]!, partAfter[i]!];
    let [share, bowX, bowY] = [shares.plain, 0, 0];
    if (before >= 0) {
      share = (1 - part) * shares.ofPins[before]! + part * shares.ofPins[after]!;
      bowX = (1 - part) * bows.x[before]! + part * bows.x[after]!;
      bowY = (1 - part) * bows.y[before]! + part * bows.y[after]!;
    }
    if (share !== turnedFor) {
      const size = whole.ratio ** share;
      [turnedFor, cos, sin] = [
        share,
        size * Math.cos(whole.radians * share),
        size * Math.sin(whole.radians * share),
      ];
    }
    const [a, b] = [first[i]!, second[i]!];
    const [x, y] = [a.x + share * (b.x - a.x), a.y + share * (b.y - a.y)];
    const bowed = bowedBy(share);
    out[2 * i] = firstPivot.x + cos * x - sin * y + bowed * bowX;
    out[2 * i + 1] = firstPivot.y + sin * x + cos * y + bowed * bowY;
  }
  return out;
}

/** A spot of a drawing, laid on both, and the pins that it goes with. */
export interface CarriedSpot {
  readonly first: Vector;
  readonly second: Vector;
  readonly going: readonly Going[];
}

/** A matching spot this near is the spot itself, squared, in the artwork's units. */
const ON_IT = 1e-12;

/**
 * A spot of a drawing on both of a pair: it moves as the matching spots about it do, each weighted by 1 / distance⁴
 * (Shepard 1968), so that it goes exactly with a spot that it lies on.
 * @param place in the picture's units
 * @param on which drawing the place is on
 * @param other the same on the other drawing, where it is known
 */
export function carriedSpot(
  { spots, firstPivot, secondPivot, pins, whole }: DrawnPair,
  place: Vector,
  on: 'first' | 'second',
  other: Vector | null = null,
): CarriedSpot {
  const isFirst = on === 'first';
  const [ownPivot, otherPivot] = isFirst ? [firstPivot, secondPivot] : [secondPivot, firstPivot];
  const level = (spot: Vector, pivot: Vector, isOnFirst: boolean): Vector => {
    const seen = { x: spot.x - pivot.x, y: spot.y - pivot.y };
    return isOnFirst ? seen : turned(whole, seen, -1);
  };
  const own = level(place, ownPivot, isFirst);
  const [here, there] = isFirst ? [spots.first, spots.second] : [spots.second, spots.first];
  const going = new Float64Array(pins.length);
  let [sum, dx, dy] = [0, 0, 0];
  for (let i = 0; i < here.length; i++) {
    const square = (here[i]!.x - own.x) ** 2 + (here[i]!.y - own.y) ** 2;
    const isOnIt = square < ON_IT;
    if (isOnIt) {
      [sum, dx, dy] = [0, 0, 0];
      going.fill(0);
    }
    const weight = isOnIt ? 1 : 1 / (square * square);
    sum += weight;
    dx += weight * (there[i]!.x - here[i]!.x);
    dy += weight * (there[i]!.y - here[i]!.y);
    if (spots.pinBefore[i]! >= 0) {
      going[spots.pinBefore[i]!]! += weight * (1 - spots.partAfter[i]!);
      going[spots.pinAfter[i]!]! += weight * spots.partAfter[i]!;
    }
    if (isOnIt) break;
  }
  const far = other
    ? level(other, otherPivot, !isFirst)
    : sum > 0
      ? { x: own.x + dx / sum, y: own.y + dy / sum }
      : own;
  return {
    first: isFirst ? own : far,
    second: isFirst ? far : own,
    going: Array.from(going, (part, pin) => ({ pin, part: sum > 0 ? part / sum : 0 })).filter(
      ({ part }) => part > 0,
    ),
  };
}

/** Where a carried spot is between two drawings, in the units of the first one's picture. */
export function spotBetween(pair: DrawnPair, { first, second, going }: CarriedSpot, shares: Shares): Vector {
  let [share, rest, bowX, bowY] = [0, 1, 0, 0];
  for (const { pin, part } of going) {
    share += part * shares.ofPins[pin]!;
    rest -= part;
    bowX += part * (pair.pins[pin]!.bow?.x ?? 0);
    bowY += part * (pair.pins[pin]!.bow?.y ?? 0);
  }
  share += Math.max(0, rest) * shares.plain;
  const at = turned(
    pair.whole,
    { x: first.x + share * (second.x - first.x), y: first.y + share * (second.y - first.y) },
    share,
  );
  const bowed = bowedBy(share);
  return {
    x: pair.firstPivot.x + at.x + bowed * bowX,
    y: pair.firstPivot.y + at.y + bowed * bowY,
  };
}

/** The place of a carried spot on the second drawing, in that one's units. */
export function placeOnSecond({ whole, secondPivot }: DrawnPair, { second }: CarriedSpot): Vector {
  const at = turned(whole, second, 1);
  return { x: secondPivot.x + at.x, y: secondPivot.y + at.y };
}

/** Drawings of a line that encloses nothing have no rings of their own: the first one's outline goes with the pins. */
function carriedRings(
  pair: DrawnPair,
  outline: readonly (readonly number[])[],
  shares: Shares,
): Float64Array[] {
  return outline.map((flat) => {
    const out = new Float64Array(flat.length);
    for (let i = 0; i < flat.length; i += 2) {
      const spot = carriedSpot(pair, { x: flat[i]!, y: flat[i + 1]! }, 'first');
      const at = spotBetween(pair, spot, shares);
      out[i] = at.x;
      out[i + 1] = at.y;
    }
    return out;
  });
}

/** Where a pin is: the pins are the last of the matching spots. */
function pinAt(pair: DrawnPair, pin: number, shares: Shares): Vector {
  const at = pair.spots.first.length - pair.pins.length + pin;
  const [first, second] = [pair.spots.first[at]!, pair.spots.second[at]!];
  return spotBetween(pair, { first, second, going: [{ pin, part: 1 }] }, shares);
}

/**
 * The drawing between two others.
 * @param outline of the first drawing, for one that is a line alone
 */
export function inBetween(
  pair: DrawnPair,
  outline: readonly (readonly number[])[],
  shares: Shares,
): InBetween {
  const bows = bowsOf(pair);
  const rings =
    pair.rings.length > 0
      ? pair.rings.map((ring) => writeSpots(pair, ring, shares, bows))
      : pair.pins.length > 0
        ? carriedRings(pair, outline, shares)
        : [];
  return { rings, pins: pair.pins.map((_, pin) => pinAt(pair, pin, shares)) };
}

/** How finely the way of a pin is drawn. */
const PATH_STEPS = 24;

export interface PinPath {
  readonly points: readonly Vector[];
  /** Half-way, and where that would be without a bow. */
  readonly half: Vector;
  readonly straightHalf: Vector;
}

/** The way of a pin from the first drawing to the second, in the units of the first; null where there is none. */
export function pinPath(figure: Figure, first: number, second: number, pinId: string): PinPath | null {
  const pair = drawnPair(figure, first, second);
  const pin = pair?.pins.findIndex(({ id }) => id === pinId) ?? -1;
  if (!pair || pin < 0) return null;
  const at = (share: number): Vector =>
    pinAt(pair, pin, { plain: share, ofPins: pair.pins.map(() => share) });
  const half = at(0.5);
  const bow = pair.pins[pin]!.bow ?? { x: 0, y: 0 };
  return {
    points: Array.from({ length: PATH_STEPS + 1 }, (_, i) => at(i / PATH_STEPS)),
    half,
    straightHalf: { x: half.x - bow.x, y: half.y - bow.y },
  };
}
