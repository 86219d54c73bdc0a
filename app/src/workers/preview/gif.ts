import { applyPalette, GIFEncoder, quantize } from 'gifenc';
import type { EncoderOptions, FrameEncoder } from './frameEncoder';

const COLOURS = 256;
/** A palette is worked out from one pixel of so many: the others find their nearest colour in it. */
const SAMPLED = 7;

/** A few pixels of a picture, for its palette. */
function sampled(pixels: Uint8ClampedArray): Uint8ClampedArray {
  const count = Math.ceil(pixels.length / 4 / SAMPLED);
  const few = new Uint8ClampedArray(count * 4);
  for (let i = 0; i < count; i++) few.set(pixels.subarray(i * SAMPLED * 4, i * SAMPLED * 4 + 4), i * 4);
  return few;
}

/** A GIF. Its delays are whole hundredths of a second: they are rounded so that the length of all frames is kept. */
export function gif({ width, height, rate, loops }: EncoderOptions): FrameEncoder {
  const encoder = GIFEncoder();
  let index = 0;
  const hundredths = (frames: number): number => Math.round((frames * 100) / rate);
  return {
    add: (canvas) => {
      const { data } = canvas.getContext('2d')!.getImageData(0, 0, width, height);
      const palette = quantize(sampled(data), COLOURS);
      const delay = (hundredths(index + 1) - hundredths(index)) * 10;
      encoder.writeFrame(applyPalette(data, palette), width, height, {
        palette,
        delay,
        repeat: loops ? 0 : -1,
      });
      index++;
      return Promise.resolve();
    },
    finish: () => {
      encoder.finish();
      return Promise.resolve(encoder.bytes());
    },
  };
}
