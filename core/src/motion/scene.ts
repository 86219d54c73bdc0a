import { compose, IDENTITY, rotationAbout, type Transform, translation } from '../arc/transform';
import type { Vector } from '../arc/vector';
import type { Picture, Shot } from '../model/schema';
import { pictureOn } from './backdropPicture';
import { evaluate, travelOfFigure } from './evaluate';
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
    };

function backdropItem({ backdrop }: Shot, frame: number): SceneItem | null {
  if (!backdrop || backdrop.hidden) return null;
  const picture = pictureOn(backdrop, frame);
  const { x, y, width, turnDeg, strength } = backdrop;
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

function lookItem({ look, placement, opacity }: FigureOn): SceneItem {
  const { picture, silhouette, details } = look;
  return picture
    ? { kind: 'picture', picture, placement, opacity, slice: null, outline: { d: silhouette, placement } }
    : { kind: 'shape', paths: [{ d: silhouette, tone: 'ink' }, ...details], placement, opacity };
}

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

/**
 * What is seen on a frame of a shot, those at the back first, without any aid: the backdrop, and all figures that are not
 * hidden, as they are exposed.
 * @param frame within the shot
 * @param withBackdrop whether the picture under everything is among it
 */
export function sceneOn(
  shot: Shot,
  frame: number,
  withBackdrop = true,
  shifts?: Shifts,
): readonly SceneItem[] {
  const evaluation = evaluate(shot);
  const backdrop = withBackdrop ? backdropItem(shot, frame) : null;
  const figures = shot.figures
    .filter(({ hidden }) => !hidden)
    .flatMap((figure): readonly SceneItem[] => {
      const travel = travelOfFigure(evaluation, figure.id);
      if (travel) {
        const items = partsOn(travel, travel.shown[frame - 1]! - 1).flatMap(partItems);
        const by = shifts?.get(travel.move.id);
        return by ? items.map((item) => shifted(item, by)) : items;
      }
      const waiting = shot.waiting.find(({ figureId }) => figureId === figure.id);
      const stands = waiting && waitingFigure(shot, waiting);
      return stands ? [lookItem(stands)] : [];
    });
  return backdrop ? [backdrop, ...figures] : figures;
}
