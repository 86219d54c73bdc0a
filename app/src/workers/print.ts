import type { Shot } from '@humble/core';
import { type PrintOptions, printPages } from '@humble/core/print';

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
