import { proxy, wrap } from 'comlink';
import type { PrintJob, Printing } from './print';
import type { PdfPrinter } from './print.worker';

export type { PrintedFile, Printing, PrintJob } from './print';

/** Makes a PDF in a worker of its own, page by page; cancelled, the worker ends at once. */
export function printAside({ fonts, ...job }: PrintJob, onPage: (done: number) => void): Printing {
  const worker = new Worker(new URL('./print.worker.ts', import.meta.url));
  let giveUp: () => void = () => undefined;
  const givenUp = new Promise<null>((resolve) => {
    giveUp = () => resolve(null);
  });
  const { sans, mono, others } = fonts;
  const printed = wrap<PdfPrinter>(worker).print(job, { sans, mono }, proxy(others), proxy(onPage));
  return {
    result: Promise.race([printed, givenUp]).finally(() => worker.terminate()),
    cancel: () => giveUp(),
  };
}
