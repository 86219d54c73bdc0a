import { proxy } from 'comlink';

/**
 * Asks a worker for something and hears how far it is. Reports come by a port of their own and can be later than the
 * answer: those are let go, so that nothing is said to go on that is over.
 */
export async function untilAnswered<Reported extends unknown[], Answer>(
  report: (...reported: Reported) => void,
  ask: (report: ((...reported: Reported) => void) & ReturnType<typeof proxy>) => Promise<Answer>,
): Promise<Answer> {
  let isAnswered = false;
  try {
    return await ask(
      proxy((...reported: Reported) => {
        if (!isAnswered) report(...reported);
      }),
    );
  } finally {
    isAnswered = true;
  }
}
