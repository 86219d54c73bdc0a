import { compose, IDENTITY, rotationAbout, type Transform, translation } from '../arc/transform';
import type { Vector } from '../arc/vector';
import type { Backdrop, Figure, Picture, Shot } from '../model/schema';
import { type CameraOn, cameraOn, isCamera, seenThrough } from './cameraView';
import { pictureOn } from './backdropPicture';
import { type BetweenOn, betweenOn, placedRing, ringsData } from './betweenOn';
import { evaluate, type Evaluation, travelOfFigure } from './evaluate';
import { type FigureOn, type PartOn, partsOn, waitingFigure } from './figureOn';
import type { Tone } from './standIns';

/** Something that is seen on a frame, in the order in which it is drawn. */
export type SceneItem =
  | {
      readonly kind: 'picture';
      readonly picture: Picture;
      readonly placement: Transform;
      readonly opacity: number;
      /** The part of it that is seen, in its own units across; all of it without one. */
      readonly slice: { readonly from: number; readonly width: number } | null;
      /** What stands for it where its bytes are not known; null for nothing. */
      readonly outline: { readonly d: string; readonly placement: Transform } | null;
    }
  | {
      readonly kind: 'shape';
      readonly paths: readonly { readonly d: string; readonly tone: Tone }[];
      readonly placement: Transform;
      readonly opacity: number;
    }
  /** A line round an in-between, in field units. */
  | {
      readonly kind: 'outline';
      readonly d: string;
      readonly width: number;
      readonly placement: Transform;
      readonly opacity: number;
    };

function planeItem(plane: Backdrop, frame: number): SceneItem {
  const picture = pictureOn(plane, frame);
  const { x, y, width, turnDeg, strength } = plane;
  const k = width / picture.width;
  const placed: Transform = {
    ...IDENTITY,
    a: k,
    d: k,
    e: x - width / 2,
    f: y - (picture.height * k) / 2,
  };
  return {
    kind: 'picture',
    picture,
    placement: compose(placed, rotationAbout({ x, y }, turnDeg)),
    opacity: strength,
    slice: null,
    outline: null,
  };
}

/** Planes no nearer than this lie behind the figures, which stand in the plane of the arcs. */
const PLANE_OF_ARCS = 1;

/** The pictures in depth that are not hidden, the furthest first. */
export const planesOf = ({ backdrop, planes }: Pick<Shot, 'backdrop' | 'planes'>): readonly Backdrop[] =>
  [...(backdrop ? [backdrop] : []), ...planes]
    .filter(({ hidden }) => !hidden)
    .sort((a, b) => b.distance - a.distance);

/** What is seen of an item through the camera; nothing of what the camera has gone past. */
const through = (item: SceneItem, map: Transform | null): readonly SceneItem[] => {
  if (!map) return [];
  const outline =
    item.kind === 'picture' && item.outline
      ? { outline: { ...item.outline, placement: compose(item.outline.placement, map) } }
      : {};
  return [{ ...item, ...outline, placement: compose(item.placement, map) }];
};

/** All planes of a shot on a frame, as the camera sees them; those in front of the figures apart. */
export function planeItems(
  shot: Shot,
  frame: number,
  camera: CameraOn | null,
): { readonly behind: readonly SceneItem[]; readonly before: readonly SceneItem[] } {
  const seen = (planes: readonly Backdrop[]): readonly SceneItem[] =>
    planes.flatMap((plane) => {
      const item = planeItem(plane, frame);
      return camera ? through(item, seenThrough(camera, shot.field, plane.distance)) : [item];
    });
  const planes = planesOf(shot);
  return {
    behind: seen(planes.filter(({ distance }) => distance >= PLANE_OF_ARCS)),
    before: seen(planes.filter(({ distance }) => distance < PLANE_OF_ARCS)),
  };
}

function lookItem({ look, placement, opacity }: FigureOn): SceneItem {
  const { picture, silhouette, details } = look;
  return picture
    ? { kind: 'picture', picture, placement, opacity, slice: null, outline: { d: silhouette, placement } }
    : { kind: 'shape', paths: [{ d: silhouette, tone: 'ink' }, ...details], placement, opacity };
}

/** An outline is this wide, as a share of the field's width. */
const OUTLINE_SHARE = 1 / 480;

const outlineItem = ({ rings }: BetweenOn, { placement, opacity }: PartOn, { field }: Shot): SceneItem => ({
  kind: 'outline',
  d: ringsData(rings.map((ring) => placedRing(ring, placement))),
  width: field.width * OUTLINE_SHARE,
  placement: IDENTITY,
  opacity,
});

function partItems(part: PartOn): readonly SceneItem[] {
  const { picture } = part.look;
  if (part.opacity === 0) return [];
  if (!part.slices || !picture) return [lookItem(part)];
  // Without the picture the first slice is the outline of all of them.
  const outline = { d: part.look.silhouette, placement: part.placement };
  return part.slices.map(({ from, width, placement }, k): SceneItem => ({
    kind: 'picture',
    picture,
    placement,
    opacity: part.opacity,
    slice: { from, width },
    outline: k === 0 ? outline : null,
  }));
}

const shifted = (item: SceneItem, by: Vector): SceneItem => ({
  ...item,
  placement: compose(item.placement, translation(by)),
});

/** By how much the figure of each move stands off its plan, field units; none without it. */
export type Shifts = ReadonlyMap<string, Vector>;

/** What of a scene is shown otherwise than usual. */
export interface SceneLook {
  readonly shifts?: Shifts;
  /** In-betweens as outlines, in place of the drawing before them. */
  readonly outlines?: boolean;
  /** All of the field, whatever the camera frames. */
  readonly isWhole?: boolean;
}

/**
 * What is seen on a frame of a shot through its camera, those at the back first, without any aid: the planes, and all
 * figures that are not hidden, as they are exposed. Without a camera all of the field is seen.
 * @param frame within the shot
 * @param withBackdrop whether the picture under everything is among it
 */
export function sceneOn(
  shot: Shot,
  frame: number,
  withBackdrop = true,
  { shifts, outlines = false, isWhole = false }: SceneLook = {},
): readonly SceneItem[] {
  const evaluation = evaluate(shot);
  const camera = isWhole ? null : cameraOn(shot, frame);
  const planes = withBackdrop ? planeItems(shot, frame, camera) : NO_PLANES;
  const map = camera && seenThrough(camera, shot.field);
  const figures = shot.figures
    .filter((figure) => !figure.hidden && !isCamera(figure))
    .flatMap((figure): readonly SceneItem[] => {
      const items = figureItems(shot, evaluation, figure, frame, { shifts, outlines });
      return camera && !figure.isFixedToCamera ? items.flatMap((item) => through(item, map)) : items;
    });
  return [...planes.behind, ...figures, ...planes.before];
}

const NO_PLANES = { behind: [], before: [] } as const;

function figureItems(
  shot: Shot,
  evaluation: Evaluation,
  figure: Figure,
  frame: number,
  { shifts, outlines = false }: SceneLook,
): readonly SceneItem[] {
  const travel = travelOfFigure(evaluation, figure.id);
  if (travel) {
    const on = travel.shown[frame - 1]!;
    const between = outlines ? betweenOn(travel, on) : null;
    const items = partsOn(travel, on - 1).flatMap((part) =>
      between && part.rider === null && between.rings.length > 0
        ? [outlineItem(between, part, shot)]
        : partItems(part),
    );
    const by = shifts?.get(travel.move.id);
    return by ? items.map((item) => shifted(item, by)) : items;
  }
  const waiting = shot.waiting.find(({ figureId }) => figureId === figure.id);
  const stands = waiting && waitingFigure(shot, waiting);
  return stands ? [lookItem(stands)] : [];
}
