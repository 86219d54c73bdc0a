// By its own way in: the worker needs nothing else of the core.
import { printPages } from '@humble/core/print';
import { lackingSentence, writePdf } from '@humble/core/print/pdf';
import { expose } from 'comlink';
import type { PrintedFile, PrintJob } from './print';

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
};
export type PdfPrinter = typeof printer;
expose(printer);
