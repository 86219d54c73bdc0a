import { applyTo, type Transform } from '../arc/transform';
import type { Vector } from '../arc/vector';
import { drawnPair } from '../inbetween/drawnPair';
import { carriedSpot, placeOnSecond, spotBetween } from '../inbetween/inBetween';
import type { Figure, FollowedSpot } from '../model/schema';
import { pairOn } from './betweenOn';
import type { Travel } from './evaluate';
import { drawingOfTravel, figureOn, riderOn } from './figureOn';

/** A followed spot of a move's figure, or of one of its parts. */
export interface SpotOfMove {
  readonly spot: FollowedSpot;
  /** The part it belongs to; null for the figure itself. */
  readonly riderId: string | null;
  readonly of: Figure;
}

/** All spots that are followed on a move: those of its figure, then those of its parts that are not hidden. */
export const followedSpots = ({ figure, move }: Pick<Travel, 'figure' | 'move'>): readonly SpotOfMove[] => [
  ...figure.followedSpots.map((spot): SpotOfMove => ({ spot, riderId: null, of: figure })),
  ...move.riders
    .filter(({ hidden }) => !hidden)
    .flatMap((rider) =>
      rider.followedSpots.map((spot): SpotOfMove => ({ spot, riderId: rider.id, of: rider })),
    ),
];

const placeOn = ({ places }: FollowedSpot, drawing: number): Vector | null =>
  places.find((place) => place.drawing === drawing) ?? null;

/** The place that says most of another drawing: the last one before it, or else the first one. */
const nearestPlace = ({ places }: FollowedSpot, drawing: number): FollowedSpot['places'][number] =>
  places.findLast((place) => place.drawing < drawing) ?? places[0]!;

/**
 * Where a followed spot is on a drawing, in the picture's units: where it was said to be, else carried over by the pins
 * and outlines of both drawings.
 */
export function spotOnDrawing(figure: Figure, spot: FollowedSpot, drawing: number): Vector {
  const said = placeOn(spot, drawing);
  if (said) return said;
  const from = nearestPlace(spot, drawing);
  const pair = drawnPair(figure, from.drawing, drawing);
  return pair ? placeOnSecond(pair, carriedSpot(pair, from, 'first')) : from;
}

function spotInArtwork(travel: Travel, { spot, of, riderId }: SpotOfMove, frame: number): Vector | null {
  const drawing = drawingOfTravel(travel, frame);
  if (drawing === 0) return null;
  const on = riderId === null ? pairOn(travel, frame) : null;
  if (!on) return spotOnDrawing(of, spot, drawing);
  const { from, to } = on.through;
  const first = spotOnDrawing(of, spot, from.drawing);
  return spotBetween(on.pair, carriedSpot(on.pair, first, 'first', placeOn(spot, to.drawing)), on.shares);
}

/**
 * Where a followed spot is in the field on a planned frame: the pivot's place + turn · size · (spot − pivot), through pins
 * while it is drawn through. Null where the figure is not shown, or its part is bent along the arc.
 */
export function spotOn(travel: Travel, followed: SpotOfMove, frame: number): Vector | null {
  const { riderId } = followed;
  if (riderId === null) {
    const at = spotInArtwork(travel, followed, frame);
    return at && applyTo(figureOn(travel, frame - 1).placement, at);
  }
  const ridden = travel.riders.find(({ rider }) => rider.id === riderId);
  if (!ridden || ridden.rider.bends) return null;
  const part = riderOn(travel, ridden, frame - 1);
  return part.drawing === 0
    ? null
    : applyTo(part.placement, spotOnDrawing(ridden.rider, followed.spot, part.drawing));
}

/** A place of a followed spot, field units. */
export interface TrailPlace extends Vector {
  readonly frame: number;
  /** From the place before, straight across; null for the first. */
  readonly increment: number | null;
  /** Along the trail from its first place. */
  readonly distance: number;
}

const knownTrails = new WeakMap<Travel, Map<FollowedSpot, readonly TrailPlace[]>>();

/** A followed spot on each exposure. */
export function spotTrail(travel: Travel, followed: SpotOfMove): readonly TrailPlace[] {
  let trails = knownTrails.get(travel);
  if (!trails) knownTrails.set(travel, (trails = new Map()));
  const found = trails.get(followed.spot);
  if (found) return found;
  const places: TrailPlace[] = [];
  let seen = 0;
  for (const frame of travel.shown) {
    if (frame === seen) continue;
    seen = frame;
    const at = spotOn(travel, followed, frame);
    if (!at) continue;
    const before = places[places.length - 1];
    const increment = before ? Math.hypot(at.x - before.x, at.y - before.y) : null;
    places.push({ frame, ...at, increment, distance: before ? before.distance + increment! : 0 });
  }
  trails.set(followed.spot, places);
  return places;
}

/** A spot of the field, back in the units of the artwork that stands there: what a tap on a figure means. */
export function spotUnder({ a, b, c, d, e, f }: Transform, at: Vector): Vector {
  const det = a * d - b * c;
  const [x, y] = [at.x - e, at.y - f];
  return { x: (d * x - c * y) / det, y: (a * y - b * x) / det };
}
