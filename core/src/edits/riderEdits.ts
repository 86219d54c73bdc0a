import { ShotError, outOfRange } from '../model/errors';
import { freshId } from '../model/ids';
import { MAX_COORDINATE, MAX_SHOT_FRAMES, MAX_PARTS, MAX_RIDERS } from '../model/limits';
import { changeMove } from '../model/parts';
import { PLAIN_RIDER } from '../model/plainRiding';
import type { Artwork, Figure, Move, Rider, Shot } from '../model/schema';
import { wrapDeg } from '../arc/vector';
import { type ChainPlan, chainParts } from '../motion/chain';
import { evaluateMove, moveParts } from '../motion/evaluate';
import { heightInField } from '../motion/look';
import { untied } from '../timing/keepTiming';
import { findMove, type OfMove } from '../timing/moveChange';
import { freshFigureName } from './withFigure';

type OfRider = OfMove & { readonly riderId: string };

function findRider(move: Pick<Move, 'riders'>, riderId: string): Rider {
  const rider = move.riders.find(({ id }) => id === riderId);
  if (!rider) throw new ShotError('unknown-id', `The move has no part ${riderId}.`);
  return rider;
}

const lookFieldsOf = ({ artwork, height, heightMm, pivot, frontDeg }: Figure) => ({
  artwork,
  height,
  heightMm,
  pivot,
  frontDeg,
});

const partName = (number: number): string => `Part ${number}`;

function complainOfMany(count: number): void {
  if (count > MAX_RIDERS) throw outOfRange(`A figure has at most ${MAX_RIDERS} parts besides itself.`);
}

const changeRider = (shot: Shot, { moveId, riderId }: OfRider, change: (rider: Rider) => Rider): Shot => {
  findRider(findMove(shot, moveId), riderId);
  return changeMove(shot, moveId, (move) => ({
    ...move,
    riders: move.riders.map((rider) => (rider.id === riderId ? change(rider) : rider)),
  }));
};

export const riderEdits = {
  /**
   * A further part, which looks like the figure unless it is said otherwise.
   * @throws ShotError `out-of-range` when there are too many
   */
  addRider: (shot: Shot, { moveId, ...some }: OfMove & Partial<Omit<Rider, 'id'>>): Shot => {
    const move = findMove(shot, moveId);
    const { figure } = moveParts(shot, move);
    complainOfMany(move.riders.length + 1);
    const rider: Rider = {
      ...PLAIN_RIDER,
      ...lookFieldsOf(figure),
      name: partName(move.riders.length + 2),
      ...some,
      id: freshId('part', move.riders),
    };
    return changeMove(shot, moveId, (before) => ({ ...before, riders: [...before.riders, rider] }));
  },

  setRider: (shot: Shot, { moveId, riderId, ...some }: OfRider & Partial<Omit<Rider, 'id'>>): Shot =>
    changeRider(shot, { moveId, riderId }, (rider) => ({ ...rider, ...some })),

  setRiderArtwork: (shot: Shot, { artwork, ...of }: OfRider & { readonly artwork: Artwork }): Shot =>
    changeRider(shot, of, (rider) => ({ ...rider, artwork, pivot: null, frontDeg: 0 })),

  removeRider: (shot: Shot, { moveId, riderId }: OfRider): Shot => {
    findRider(findMove(shot, moveId), riderId);
    return changeMove(shot, moveId, (move) => ({
      ...move,
      riders: move.riders.filter(({ id }) => id !== riderId),
    }));
  },

  clearRiders: (shot: Shot, { moveId }: OfMove): Shot =>
    changeMove(shot, moveId, (move) => ({ ...move, riders: [] })),

  /** Another place for a part in the order of depth. @param args.to its index from the back among the parts */
  orderRider: (shot: Shot, { moveId, riderId, to }: OfRider & { readonly to: number }): Shot => {
    const rider = findRider(findMove(shot, moveId), riderId);
    return changeMove(shot, moveId, (move) => {
      const riders = move.riders.filter((one) => one !== rider);
      riders.splice(Math.max(0, Math.min(riders.length, Math.round(to))), 0, rider);
      return { ...move, riders };
    });
  },

  /**
   * A chain of parts behind the figure in one step, in place of those that are there.
   * @throws ShotError `out-of-range` for fewer than two parts, too many, or a size of nothing
   */
  makeChain: (shot: Shot, { moveId, ...plan }: OfMove & ChainPlan): Shot => {
    const move = findMove(shot, moveId);
    const { figure } = moveParts(shot, move);
    if (!Number.isInteger(plan.count) || plan.count < 2)
      throw outOfRange('A chain has at least two parts, counting the figure.');
    if (!(plan.toPercent >= 0.1)) throw outOfRange('The last part needs a size above 0 %.');
    complainOfMany(plan.count - 1);
    const parts = chainParts(figure, heightInField(figure, shot.field), plan);
    const reaches = ({ follows }: Pick<Rider, 'follows'>): boolean =>
      follows.by === 'distance'
        ? Math.abs(follows.distance) <= MAX_COORDINATE
        : Math.abs(follows.frames) <= MAX_SHOT_FRAMES;
    if (!parts.every(reaches)) throw outOfRange('This chain is too long. Make its gap smaller.');
    // The last of the chain lies at the back.
    const riders = parts
      .map((part, i): Rider => ({
        ...PLAIN_RIDER,
        ...lookFieldsOf(figure),
        ...part,
        id: `part${i + 2}`,
        name: partName(i + 2),
        mirrored: move.mirrored,
        turnsWithArc: move.turnsWithArc,
        correctionDeg: move.correctionDeg,
        pastEnds: plan.isLaidOut === false ? 'stay' : 'straight',
      }))
      .reverse();
    return changeMove(shot, moveId, (before) => ({ ...before, riders }));
  },

  /** Two parts stand as far to their own sides as both do on average: 12 and 18 become 15 and 15. */
  pairRiders: (
    shot: Shot,
    { moveId, riderIds }: OfMove & { readonly riderIds: readonly [string, string] },
  ): Shot => {
    const move = findMove(shot, moveId);
    const [first, second] = riderIds.map((id) => findRider(move, id)) as [Rider, Rider];
    const mean = (Math.abs(first.offset.y) + Math.abs(second.offset.y)) / 2;
    const left = first.offset.y <= second.offset.y ? first : second;
    const paired = (rider: Rider): Rider => ({
      ...rider,
      offset: { ...rider.offset, y: rider === left ? -mean : mean },
    });
    return changeMove(shot, moveId, (before) => ({
      ...before,
      riders: before.riders.map((one) => (one === first || one === second ? paired(one) : one)),
    }));
  },

  /**
   * A part becomes a figure of its own: it waits where it stands on a frame, as large and turned as it is, and has the
   * timing of the figure that it followed.
   * @throws ShotError `out-of-range` when there are too many figures
   */
  releaseRider: (shot: Shot, { moveId, riderId, frame }: OfRider & { readonly frame: number }): Shot => {
    const move = findMove(shot, moveId);
    const rider = findRider(move, riderId);
    if (shot.figures.length >= MAX_PARTS) throw outOfRange(`A shot has at most ${MAX_PARTS} figures.`);
    const { riders } = evaluateMove(shot, move);
    const i = Math.min(Math.max(1, Math.round(frame)), shot.lengthFrames) - 1;
    const { pivotX, pivotY, headingDeg } = riders[move.riders.indexOf(rider)]!.placeOn(i);
    const figureId = freshId('figure', shot.figures);
    const share = rider.sizePercent / 100;
    const figure: Figure = {
      ...lookFieldsOf(rider),
      drawingPairs: rider.drawingPairs,
      followedSpots: rider.followedSpots,
      isFixedToCamera: rider.isFixedToCamera,
      id: figureId,
      name: freshFigureName(shot, rider.name),
      height: Math.max(1, rider.height * share),
      heightMm: rider.heightMm === null ? null : Math.max(0.01, rider.heightMm * share),
      hidden: rider.hidden,
      locked: rider.locked,
    };
    const { arcId: _, ...timing } = untied({ ...move, acted: null });
    const { mirrored, turnsWithArc, correctionDeg } = rider;
    const on = { ...timing, figureId, riders: [], mirrored, turnsWithArc, correctionDeg };
    const next = riderEdits.removeRider(shot, { moveId, riderId });
    return {
      ...next,
      figures: [...next.figures, figure],
      waiting: [
        ...next.waiting,
        {
          figureId,
          x: pivotX,
          y: pivotY,
          turnDeg: wrapDeg(headingDeg),
          move: {
            ...on,
            id: freshId('move', [...next.moves, ...next.waiting.flatMap((one) => one.move ?? [])]),
          },
        },
      ],
    };
  },
} as const;
