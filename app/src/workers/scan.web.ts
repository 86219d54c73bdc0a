import { wrap } from 'comlink';
import type { SheetDesk } from './scan';
import type { SheetScanner } from './scan.worker';
import { untilAnswered } from './untilAnswered';

export type { ClearedSheet, ScanLevels, ScannedSheet, SheetDesk, SheetShown, Spot } from './scan';

/** A worker of its own for some sheets: it holds them, and ends with them. */
export function openSheetDesk(): SheetDesk {
  const worker = new Worker(new URL('./scan.worker.ts', import.meta.url));
  const scanner = wrap<SheetScanner>(worker);
  return {
    read: (file, onProgress) => untilAnswered(onProgress, (report) => scanner.read(file, report)),
    straighten: (index, corners) => scanner.straighten(index, corners),
    show: (index, shown) => scanner.show(index, shown),
    clear: (index, levels, marks, onProgress) =>
      untilAnswered(onProgress, (report) => scanner.clear(index, levels, marks, report)),
    close: () => worker.terminate(),
  };
}
