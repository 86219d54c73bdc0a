import type { FirstFrameNumber, Shot } from '@humble/core';
import { inbetweenTiles, pageSvg, type PrintOptions, printPages } from '@humble/core/print';

export interface PrintJob {
  readonly shot: Shot;
  readonly options: PrintOptions;
  readonly title: string;
  readonly fonts: {
    readonly sans: Uint8Array;
    readonly mono: Uint8Array;
    /** For letters that the others lack; fetched when there are any. */
    readonly others: () => Promise<Uint8Array>;
  };
}

/** A PDF, and what is to be said of letters that no font has; null for nothing. */
export interface PrintedFile {
  readonly bytes: Uint8Array;
  readonly note: string | null;
}

export interface Printing {
  /** Null when it was cancelled. @throws Error */
  readonly result: Promise<PrintedFile | null>;
  readonly cancel: () => void;
}

/** Makes a PDF, page by page. On the web that happens in a worker of its own: see `print.web.ts`. */
export function printAside(
  { shot, options, title, fonts }: PrintJob,
  onPage: (done: number) => void,
): Printing {
  const made = async (): Promise<PrintedFile> => {
    const { writePdf, lackingSentence } = await import('@humble/core/print/pdf');
    const { bytes, lacking } = await writePdf(printPages(shot, options), title, fonts, onPage);
    return { bytes, note: lackingSentence(lacking) };
  };
  return { result: made(), cancel: () => undefined };
}

export interface InbetweensJob {
  readonly shot: Shot;
  readonly format: 'png' | 'svg';
  readonly firstNumber: FirstFrameNumber;
}

export interface MakingPictures {
  /** A ZIP of them; null when it was cancelled. @throws Error */
  readonly result: Promise<Uint8Array | null>;
  readonly cancel: () => void;
}

/** In-betweens as pictures in a ZIP. Outside of a browser there is nothing to draw with: only SVG is made there. */
export function inbetweensAside(
  { shot, format, firstNumber }: InbetweensJob,
  onPicture: (done: number, of: number) => void,
): MakingPictures {
  const made = async (): Promise<Uint8Array> => {
    if (format === 'png') throw new Error('Pictures can only be drawn in a browser.');
    const { strToU8, zipSync } = await import('fflate');
    const tiles = inbetweenTiles(shot, firstNumber);
    onPicture(tiles.length, tiles.length);
    return zipSync(
      Object.fromEntries(tiles.map(({ name, page }) => [`${name}.svg`, strToU8(pageSvg(page))])),
    );
  };
  return { result: made(), cancel: () => undefined };
}
