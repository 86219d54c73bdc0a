import { IDENTITY } from '../arc/transform';
import type { Field, Picture, Shot } from '../model/schema';
import { type SceneItem, type SceneLook, sceneOn } from '../motion/scene';
import { latestPicture, pictureSeenOn, standingPictures } from './placements';

/** A picture over the whole field; what of it is wider or higher is cut off on both sides alike. */
function overField(picture: Picture, { width, height }: Field): SceneItem {
  const k = Math.max(width / picture.width, height / picture.height);
  const placement = {
    ...IDENTITY,
    a: k,
    d: k,
    e: (width - k * picture.width) / 2,
    f: (height - k * picture.height) / 2,
  };
  return { kind: 'picture', picture, placement, opacity: 1, slice: null, outline: null };
}

/**
 * What is seen on a frame of what was shot: the picture that was taken for it, and from where nothing is taken yet the
 * plan.
 * @param frame within the shot
 */
export function takenSceneOn(
  shot: Shot,
  frame: number,
  withBackdrop = true,
  look: SceneLook = {},
): readonly SceneItem[] {
  const last = latestPicture(shot);
  const isTaken = last !== undefined && frame < last.frame + last.framesHeld;
  const seen = isTaken ? pictureSeenOn(standingPictures(shot), frame) : undefined;
  return seen ? [overField(seen.picture, shot.field)] : sceneOn(shot, frame, withBackdrop, look);
}
