import type { ThinnedGesture, ThinOptions } from '@humble/core';
import type { RawGesture } from '@humble/core/views';
import { type Remote, wrap } from 'comlink';
import type { ThinningJob } from './thin';
import type { Thinner } from './thin.worker';
import { untilAnswered } from './untilAnswered';

interface Worked {
  readonly worker: Worker;
  readonly thinner: Remote<Thinner>;
}

let idle: Worked | null = null;

function begun(): Worked {
  const worker = new Worker(new URL('./thin.worker.ts', import.meta.url));
  return { worker, thinner: wrap<Thinner>(worker) };
}

/** Thins a gesture in a worker, so that the hand is never held up. Given up, the worker ends at once. */
export function thinAside(gesture: RawGesture, { onProgress, ...options }: ThinOptions): ThinningJob {
  const mine = idle ?? begun();
  idle = null;
  let giveUp: () => void = () => undefined;
  const givenUp = new Promise<null>((resolve) => {
    giveUp = () => resolve(null);
  });
  const { x, y, ms, speed } = gesture;
  const worked: Promise<ThinnedGesture> = untilAnswered(
    (share: number) => onProgress?.(share),
    (report) => mine.thinner.thin({ x, y, ms, speed }, options, report),
  );
  let isDone = false;
  const result = Promise.race([worked, givenUp]).finally(() => {
    if (isDone) return;
    isDone = true;
    idle ??= mine;
  });
  return {
    result,
    cancel: () => {
      if (isDone) return;
      isDone = true;
      mine.worker.terminate();
      giveUp();
    },
  };
}
