import { proxy, type Remote, wrap } from 'comlink';
import type { InbetweensJob, MakingPictures, PrintJob, Printing } from './print';
import type { PdfPrinter } from './print.worker';
import { untilAnswered } from './untilAnswered';

export type { PrintedFile, Printing, PrintJob } from './print';

/** Makes a PDF in a worker of its own, page by page; cancelled, the worker ends at once. */
export const printAside = ({ fonts, ...job }: PrintJob, onPage: (done: number) => void): Printing =>
  aside((printer) => {
    const { sans, mono, others } = fonts;
    return untilAnswered(onPage, (report) => printer.print(job, { sans, mono }, proxy(others), report));
  });

/** In-betweens as pictures in a ZIP, drawn in a worker of their own; cancelled, the worker ends at once. */
export const inbetweensAside = (
  job: InbetweensJob,
  onPicture: (done: number, of: number) => void,
): MakingPictures =>
  aside((printer) => untilAnswered(onPicture, (report) => printer.inbetweens(job, report)));

function aside<Made>(make: (printer: Remote<PdfPrinter>) => Promise<Made>) {
  const worker = new Worker(new URL('./print.worker.ts', import.meta.url));
  let giveUp: () => void = () => undefined;
  const givenUp = new Promise<null>((resolve) => {
    giveUp = () => resolve(null);
  });
  return {
    result: Promise.race([make(wrap<PdfPrinter>(worker)), givenUp]).finally(() => worker.terminate()),
    cancel: () => giveUp(),
  };
}
