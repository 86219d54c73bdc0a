import type { Backdrop, Picture } from '../model/schema';

/** The picture of a backdrop that is seen on a frame; the last one stays. @param frame from 1 */
export const pictureOn = (backdrop: Backdrop, frame: number): Picture =>
  backdrop.pictures[Math.min(backdrop.pictures.length - 1, Math.floor((frame - 1) / backdrop.framesEach))]!;
