/** Lets what waits for its turn have it: input, a frame, other work. */
export const nextTask = (): Promise<void> =>
  new Promise((resolve) => {
    const { port1, port2 } = new MessageChannel();
    port1.onmessage = () => {
      port1.close();
      resolve();
    };
    port2.postMessage(null);
  });

/** A page that nobody sees has no frames; then so long counts as one, milliseconds. */
const UNSEEN_FRAME_MS = 50;

/** Waits until the next frame has been drawn. */
export const nextFrame = (): Promise<void> =>
  new Promise((resolve) => {
    const go = (): void => {
      clearTimeout(unseen);
      cancelAnimationFrame(frame);
      void nextTask().then(resolve);
    };
    const unseen = setTimeout(go, UNSEEN_FRAME_MS);
    const frame = requestAnimationFrame(go);
  });

/** Longer than this nothing goes on without a turn for others, milliseconds. */
const AT_ONCE_MS = 6;

/** Goes through steps of a long work with turns for others between. @param isWanted asked at each turn */
export async function runTimeSliced(steps: Iterable<void>, isWanted: () => boolean): Promise<void> {
  let since = performance.now();
  const walk = steps[Symbol.iterator]();
  while (!walk.next().done) {
    if (performance.now() - since < AT_ONCE_MS) continue;
    await nextTask();
    if (!isWanted()) return;
    since = performance.now();
  }
}
