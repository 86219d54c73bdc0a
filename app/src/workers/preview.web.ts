import { type Remote, transfer, wrap } from 'comlink';
import type { OfferedFormat, PreviewJob, Rendering, StillJob } from './preview';
import type { Renderer } from './preview.worker';
import { untilAnswered } from './untilAnswered';

export type {
  MovingFormat,
  OfferedFormat,
  PreviewJob,
  Rendering,
  SoundTrack,
  StillJob,
  StillKind,
} from './preview';

function begun(): { readonly worker: Worker; readonly renderer: Remote<Renderer> } {
  const worker = new Worker(new URL('./preview.worker.ts', import.meta.url));
  return { worker, renderer: wrap<Renderer>(worker) };
}

/** Makes a file in a worker of its own. The pictures are handed over; cancelled, the worker ends at once. */
export function renderAside(job: PreviewJob | StillJob, onProgress: (done: number) => void): Rendering {
  const { worker, renderer } = begun();
  let giveUp: () => void = () => undefined;
  const givenUp = new Promise<null>((resolve) => {
    giveUp = () => resolve(null);
  });
  const sound = 'format' in job ? (job.sound?.channels ?? []) : [];
  const handed = [...job.images.map(({ bitmap }) => bitmap), ...sound.map(({ buffer }) => buffer)];
  const worked =
    'format' in job
      ? untilAnswered(onProgress, (report) => renderer.moving(transfer(job, handed), report))
      : renderer.still(transfer(job, handed));
  return {
    result: Promise.race([worked, givenUp]).finally(() => worker.terminate()),
    cancel: () => giveUp(),
  };
}

/** Which of the formats that not every browser has this one can write at a size. */
export async function probeFormats(width: number, height: number): Promise<readonly OfferedFormat[]> {
  const { worker, renderer } = begun();
  try {
    return await renderer.probe(width, height);
  } finally {
    worker.terminate();
  }
}
