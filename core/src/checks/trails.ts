import { followedSpots, spotTrail, type TrailPlace } from '../motion/spotTrail';
import type { CheckedTravel } from './check';

/** Something about one place of a trail: the step that leads to it and the one that leads on. */
export interface Passing {
  readonly before: TrailPlace;
  readonly at: TrailPlace;
  readonly after: TrailPlace;
  /** The same exposures of the figure itself, where both steps lie in one span; null where they do not. */
  /** The span that both steps lie in; null where they do not lie in one. */
  readonly span: number | null;
  readonly pivot: {
    readonly into: readonly [number, number];
    readonly out: readonly [number, number];
  } | null;
}

export interface CheckedTrail {
  readonly name: string;
  readonly places: readonly TrailPlace[];
  readonly passings: readonly Passing[];
}

/** The trails of all spots that are followed on a move. */
export function trailsOf({ travel, steps }: CheckedTravel): readonly CheckedTrail[] {
  const { pivotX, pivotY } = travel;
  const spans = new Map(steps.map(({ frame, span }) => [frame, span]));
  const step = (from: TrailPlace, to: TrailPlace): readonly [number, number] => [
    pivotX[to.frame - 1]! - pivotX[from.frame - 1]!,
    pivotY[to.frame - 1]! - pivotY[from.frame - 1]!,
  ];
  return followedSpots(travel).map((followed) => {
    const places = spotTrail(travel, followed);
    const passings = places.slice(1, -1).map((at, i): Passing => {
      const [before, after] = [places[i]!, places[i + 2]!];
      const [own, next] = [spans.get(at.frame), spans.get(after.frame)];
      const span = own !== undefined && own === next ? own : null;
      return {
        before,
        at,
        after,
        span,
        pivot: span !== null ? { into: step(before, at), out: step(at, after) } : null,
      };
    });
    return { name: followed.spot.name, places, passings };
  });
}
