/** A picture as a browser's canvas or a decoder gives it: red, green, blue and alpha of each pixel, row by row, 0 to 255. */
export interface Pixels {
  readonly width: number;
  readonly height: number;
  readonly data: Uint8ClampedArray;
}

export const blankPixels = (width: number, height: number): Pixels => ({
  width,
  height,
  data: new Uint8ClampedArray(4 * width * height),
});

/** How bright a colour is seen, 0 to 255 (Rec. 709). */
export const brightness = (red: number, green: number, blue: number): number =>
  0.2126 * red + 0.7152 * green + 0.0722 * blue;

/** Told of long work as it goes on, 0 to 1. What it throws ends the work. */
export type OnProgress = (done: number) => void;
