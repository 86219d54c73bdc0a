// By its own way in: the worker needs nothing else of the core.
import { inbetweenTiles, pageSvg, printPages } from '@humble/core/print';
import { lackingSentence, writePdf } from '@humble/core/print/pdf';
import { expose } from 'comlink';
import { strToU8, zipSync } from 'fflate';
import { pngOf, ZIP_TIME } from './preview/pngZip';
import type { InbetweensJob, PrintedFile, PrintJob } from './print';
import { drawOps } from './print/drawOps';

const printer = {
  print: async (
    { shot, options, title }: Omit<PrintJob, 'fonts'>,
    fonts: Pick<PrintJob['fonts'], 'sans' | 'mono'>,
    others: () => Promise<Uint8Array>,
    onPage: (done: number) => void,
  ): Promise<PrintedFile> => {
    const { bytes, lacking } = await writePdf(printPages(shot, options), title, { ...fonts, others }, onPage);
    return { bytes, note: lackingSentence(lacking) };
  },

  inbetweens: async (
    { shot, format, firstNumber }: InbetweensJob,
    onPicture: (done: number, of: number) => void,
  ): Promise<Uint8Array> => {
    const tiles = inbetweenTiles(shot, firstNumber);
    const files: Record<string, Uint8Array> = {};
    for (const [i, { name, page, width, height }] of tiles.entries()) {
      if (format === 'svg') files[`${name}.svg`] = strToU8(pageSvg(page));
      else {
        const canvas = new OffscreenCanvas(width, height);
        drawOps(canvas.getContext('2d')!, page.ops, width / page.width);
        files[`${name}.png`] = await pngOf(canvas);
      }
      onPicture(i + 1, tiles.length);
    }
    return zipSync(files, { mtime: ZIP_TIME });
  },
};
export type PdfPrinter = typeof printer;
expose(printer);
