declare module 'gifenc' {
  export interface GifFrame {
    readonly palette: readonly (readonly number[])[];
    /** Milliseconds. */
    readonly delay: number;
    /** 0 begins anew without end, −1 plays once. */
    readonly repeat: number;
  }
  export interface Encoder {
    readonly writeFrame: (indices: Uint8Array, width: number, height: number, frame: GifFrame) => void;
    readonly finish: () => void;
    readonly bytes: () => Uint8Array;
  }
  export function GIFEncoder(): Encoder;
  export function quantize(
    pixels: Uint8Array | Uint8ClampedArray,
    colours: number,
  ): readonly (readonly number[])[];
  export function applyPalette(
    pixels: Uint8Array | Uint8ClampedArray,
    palette: readonly (readonly number[])[],
  ): Uint8Array;
}
