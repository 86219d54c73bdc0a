import type { Picture } from '@humble/core';
import type { CameraName } from '../store/settingsSlice';
import type { AppStore } from '../store/store';
import { cardboardStage } from './cardboardStage';
import { webcam } from './webcam';
import { watchedFolder } from './watchedFolder';

export interface Size {
  readonly width: number;
  readonly height: number;
}

/** One of the devices that a kind of camera has, or one of the sizes of a device. */
export interface CameraChoice {
  readonly id: string;
  readonly label: string;
}

/** A picture that was taken: JPEG or PNG. */
export interface TakenFrame extends Size {
  readonly bytes: Blob;
}

/** A camera that is open. A new kind is a file that opens one, and a line in the table. */
export interface OpenCamera {
  /** What it sees now, as an element of the page; null for one that only delivers pictures. */
  readonly live: HTMLElement | null;
  readonly size: Size;
  /**
   * Takes a picture.
   * @param frame of the shot that it is for
   * @throws Refusal with a sentence where there is none
   */
  readonly take: (frame: number) => Promise<TakenFrame>;
  readonly close: () => void;
}

export interface CameraWish {
  readonly store: AppStore;
  /** Of those that `list` names; the first of them without it. */
  readonly device: string | null;
  /** The width that is wanted, pixels. */
  readonly width: number;
  /** A picture came by itself: somebody pressed the camera's own button. */
  readonly onPicture: (picture: Picture) => void;
  /** Something to know that is no end of the camera. */
  readonly onNote: (sentence: string) => void;
  /** The camera went away by itself. @param sentence why */
  readonly onLost: (sentence: string) => void;
}

export interface CameraKind {
  readonly list: () => Promise<readonly CameraChoice[]>;
  /** @throws Refusal with a sentence where it cannot be opened */
  readonly open: (wish: CameraWish) => Promise<OpenCamera>;
  /** Widths that can be chosen, pixels; none for a camera that has its own. */
  readonly widths: readonly number[];
}

/** The table of cameras, in the order in which they are offered. */
export const CAMERAS = { stage: cardboardStage, webcam, folder: watchedFolder } as const satisfies Readonly<
  Record<CameraName, CameraKind>
>;
