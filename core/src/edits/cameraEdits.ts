import type { Vector } from '../arc/vector';
import { outOfRange, ShotError } from '../model/errors';
import { freshId } from '../model/ids';
import { MAX_PARTS, MAX_PLANES, MAX_SHAKES } from '../model/limits';
import { changeFigure, changeMove } from '../model/parts';
import type { Easing, Field, Figure, Picture, Plane, Shake, Shot } from '../model/schema';
import { cameraAt, cameraOf } from '../motion/cameraView';
import { evaluateMove } from '../motion/evaluate';
import { easedDistance } from '../timing/easedDistance';
import { chartOf } from '../timing/easings/ticks';
import { withoutMarks } from '../timing/markEdits';
import { findMove, type OfMove } from '../timing/moveChange';
import { withKeyOn, withKeyEasing, withKeyGrowth, withoutKeys } from '../timing/tracks/keyEdits';
import { coveringWidth } from './backdropEdits';
import { poseEdits } from './poseEdits';

const CAMERA_NAME = 'Camera';

const cameraArtwork = ({ width, height }: Pick<Field, 'width' | 'height'>): Figure['artwork'] => ({
  kind: 'camera',
  width,
  height,
});

/** A field of another size has a camera of that size: at 100 % it still sees all of it. */
export function withCameraResized(before: Shot, after: Shot): Shot {
  const camera = cameraOf(after);
  if (!camera) return after;
  const times = after.field.height / before.field.height;
  return changeFigure(after, camera.id, (figure) => ({
    ...figure,
    artwork: cameraArtwork(after.field),
    height: Math.max(1, figure.height * times),
  }));
}

const EVEN: Easing = { kind: 'even' };
/** A spot that is nearer to where it was than this, field units, has not moved. */
const SAME_SPOT = 1e-6;

type OfShake = OfMove & { readonly shakeId: string };

const FRESH_SHAKE: Omit<Shake, 'id' | 'seed'> = {
  kind: 'tremble',
  from: 1,
  fadeFrames: 0,
  amplitude: 8,
  turnDeg: 0,
  swingFrames: 6,
};

const changeShakes = (
  shot: Shot,
  moveId: string,
  change: (shakes: readonly Shake[]) => readonly Shake[],
): Shot => changeMove(shot, moveId, (move) => ({ ...move, shakes: change(move.shakes) }));

function changedById<Part extends { readonly id: string }>(
  parts: readonly Part[],
  id: string,
  what: string,
  change: (part: Part) => Part | null,
): readonly Part[] {
  if (!parts.some((part) => part.id === id)) throw new ShotError('unknown-id', `There is no ${what} ${id}.`);
  return parts.flatMap((part) => (part.id === id ? (change(part) ?? []) : [part]));
}

export const cameraEdits = {
  /**
   * A camera that sees the whole field and rests, until it is posed on another frame.
   * @throws ShotError `out-of-range` when there is one already
   */
  addCamera: (shot: Shot): Shot => {
    if (cameraOf(shot)) throw outOfRange('There’s one camera in a shot, and it’s there already.');
    if (shot.figures.length >= MAX_PARTS) throw outOfRange(`A shot has at most ${MAX_PARTS} figures.`);
    const { width, height } = shot.field;
    const posed = poseEdits.beginPoses(shot, { frame: 1, to: { x: width / 2, y: height / 2 } });
    const figureId = posed.figures[posed.figures.length - 1]!.id;
    const arcId = posed.arcs[posed.arcs.length - 1]!.id;
    const framed = changeFigure(posed, figureId, (figure) => ({
      ...figure,
      name: CAMERA_NAME,
      artwork: cameraArtwork(shot.field),
      height,
    }));
    return {
      ...framed,
      arcs: framed.arcs.map((arc) => (arc.id === arcId ? { ...arc, name: CAMERA_NAME } : arc)),
    };
  },

  /**
   * In to a spot, or out from one: the spot's picture goes straight and evenly from where it is to where it is wanted, and
   * the frame grows by depth. What lies between both frames gives way.
   * @param args.spot in the field
   * @param args.width of the frame at the end, field units
   * @param args.at where in the picture the spot ends, field units from its middle
   * @param args.easing of the whole way
   * @throws ShotError `out-of-range` for frames that leave no way, or a frame without width
   */
  truckIn: (
    shot: Shot,
    {
      moveId,
      from,
      until,
      spot,
      width,
      at = { x: 0, y: 0 },
      easing = EVEN,
    }: OfMove & {
      readonly from: number;
      readonly until: number;
      readonly spot: Vector;
      readonly width: number;
      readonly at?: Vector;
      readonly easing?: Easing;
    },
  ): Shot => {
    if (!(from >= 1 && until > from && until <= shot.lengthFrames))
      throw outOfRange('A truck needs a later frame to end on, within the shot.');
    if (!(width > 0)) throw outOfRange('The frame needs a width.');
    const move = findMove(shot, moveId);
    const travel = evaluateMove(shot, { ...move, shakes: [] });
    const begin = cameraAt(travel, from - 1, shot.field);
    const whole = shot.field.width;
    const perPercent = begin.width / travel.tracks.size[from - 1]!;
    const place = { x: travel.x[from - 1]!, y: travel.y[from - 1]! };
    /** Where the middle of the frame is at a share of the way: the spot less where its picture is, back in the field. */
    const pictured = {
      x: ((spot.x - begin.x) * whole) / begin.width,
      y: ((spot.y - begin.y) * whole) / begin.width,
    };
    const middle = (u: number): Vector => {
      const wide = 1 / (1 / begin.width + (1 / width - 1 / begin.width) * u);
      return {
        x: spot.x - ((pictured.x + (at.x - pictured.x) * u) * wide) / whole,
        y: spot.y - ((pictured.y + (at.y - pictured.y) * u) * wide) / whole,
      };
    };
    const end = middle(1);
    const way = { x: end.x - begin.x, y: end.y - begin.y };
    const length = Math.hypot(way.x, way.y);
    const between = move.marks.filter(({ frame }) => frame > from && frame < until).map(({ id }) => id);
    const cleared = changeMove(shot, moveId, (one) => withoutMarks(one, between));
    const begun = poseEdits.pose(cleared, { moveId, frame: from, to: place, path: 'straight' });
    const posed = poseEdits.pose(begun, {
      moveId,
      frame: until,
      to: { x: place.x + way.x, y: place.y + way.y },
      path: 'straight',
    });
    const frames = until - from;
    const shares = Array.from({ length: frames }, (_, k) => {
      const u = easedDistance(easing, k + 1, frames, 1);
      const on = middle(u);
      return length < SAME_SPOT
        ? (k + 1) / frames
        : ((on.x - begin.x) * way.x + (on.y - begin.y) * way.y) / (length * length);
    });
    return changeMove(posed, moveId, (one) => {
      const timed = {
        ...one,
        marks: one.marks.map((mark) => (mark.frame === from ? { ...mark, easing: chartOf(shares) } : mark)),
      };
      const old = timed.tracks.size
        .filter(({ frame }) => frame >= from && frame <= until)
        .map(({ id }) => id);
      const sized = withKeyOn(
        withKeyOn(withoutKeys(timed, 'size', old), 'size', from, begin.width / perPercent),
        'size',
        until,
        width / perPercent,
      );
      const first = sized.tracks.size.find(({ frame }) => frame === from)!.id;
      return withKeyEasing(withKeyGrowth(sized, 'size', [first], 'depth'), 'size', [first], easing);
    });
  },

  /** @throws ShotError `out-of-range` when there are too many */
  addShake: (shot: Shot, { moveId, ...some }: OfMove & Partial<Omit<Shake, 'id'>>): Shot =>
    changeShakes(shot, moveId, (shakes) => {
      if (shakes.length >= MAX_SHAKES) throw outOfRange(`A move has at most ${MAX_SHAKES} shakes.`);
      return [...shakes, { ...FRESH_SHAKE, seed: shakes.length + 1, ...some, id: freshId('shake', shakes) }];
    }),

  setShake: (shot: Shot, { moveId, shakeId, ...some }: OfShake & Partial<Omit<Shake, 'id'>>): Shot =>
    changeShakes(shot, moveId, (shakes) =>
      changedById(shakes, shakeId, 'shake', (one) => ({ ...one, ...some })),
    ),

  removeShake: (shot: Shot, { moveId, shakeId }: OfShake): Shot =>
    changeShakes(shot, moveId, (shakes) => changedById(shakes, shakeId, 'shake', () => null)),

  /**
   * A further picture in depth, which covers the field where the camera rests.
   * @throws ShotError `out-of-range` when there are too many
   */
  addPlane: (
    shot: Shot,
    {
      pictures,
      distance,
      name,
    }: { readonly pictures: readonly Picture[]; readonly distance: number; readonly name: string },
  ): Shot => {
    const [first] = pictures;
    if (!first) throw outOfRange('A plane needs a picture.');
    if (shot.planes.length + 1 >= MAX_PLANES)
      throw outOfRange(`A shot has at most ${MAX_PLANES} pictures in depth, the backdrop among them.`);
    const plane: Plane = {
      id: freshId('plane', shot.planes),
      name,
      pictures,
      framesEach: 1,
      x: shot.field.width / 2,
      y: shot.field.height / 2,
      width: coveringWidth(shot.field, first),
      turnDeg: 0,
      strength: 1,
      distance,
      hidden: false,
      locked: false,
    };
    return { ...shot, planes: [...shot.planes, plane] };
  },

  setPlane: (
    shot: Shot,
    { planeId, ...some }: { readonly planeId: string } & Partial<Omit<Plane, 'id'>>,
  ): Shot => ({
    ...shot,
    planes: changedById(shot.planes, planeId, 'plane', (plane) => ({ ...plane, ...some })),
  }),

  removePlane: (shot: Shot, { planeId }: { readonly planeId: string }): Shot => ({
    ...shot,
    planes: changedById(shot.planes, planeId, 'plane', () => null),
  }),
} as const;
