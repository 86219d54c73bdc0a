import type { Outline } from '@humble/core';

export interface Spot {
  readonly x: number;
  readonly y: number;
}

/** From which brightness on paper is clear, and up to which line is whole; 0 to 255. */
export interface ScanLevels {
  readonly white: number;
  readonly black: number;
}

/** A sheet that was read, its light evened. Spots are in its own pixels. */
export interface ScannedSheet {
  readonly width: number;
  readonly height: number;
  readonly levels: ScanLevels;
  readonly marks: readonly Spot[];
  readonly isComplete: boolean;
}

export interface SheetShown {
  readonly levels: ScanLevels;
  /** With its paper cleared; else as it came. */
  readonly isClear: boolean;
  /** The longer side that is wanted, pixels. */
  readonly side: number;
}

export interface ClearedSheet {
  readonly bytes: Uint8Array;
  readonly outline: Outline;
  readonly width: number;
  readonly height: number;
}

/** Sheets on the desk, held by a worker until it is let go of. */
export interface SheetDesk {
  readonly read: (file: Blob, onProgress: (done: number) => void) => Promise<ScannedSheet>;
  readonly straighten: (index: number, corners: readonly [Spot, Spot, Spot, Spot]) => Promise<ScannedSheet>;
  readonly show: (index: number, shown: SheetShown) => Promise<ImageBitmap>;
  readonly clear: (
    index: number,
    levels: ScanLevels,
    marks: { readonly own: readonly Spot[]; readonly first: readonly Spot[] } | null,
    onProgress: (done: number) => void,
  ) => Promise<ClearedSheet | null>;
  /** Ends all that goes on, at once. */
  readonly close: () => void;
}

/** Scans are worked on by a browser's worker; there is none here. */
export const openSheetDesk = (): SheetDesk => {
  throw new Error('Scans can only be imported in a browser.');
};
