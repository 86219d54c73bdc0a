import { BARE_PAGE, sizes } from './sizes';
import { START_RATIO_BUDGET, starts } from './starts';
import { verdict } from './verdict';

/** JavaScript of the first screen, as a share of a bare page's; of the workbench beyond it, gzip, bytes. */
const FIRST_SCREEN_RATIO = 1.5;
const WORKBENCH_BYTES = 140_000;

/** What the page sends before something is to be seen. */
export function javaScript(): void {
  console.log('\nJavaScript, gzip\n');
  const all = sizes();
  if (!all) return verdict('the application is built', false);
  const kilobytes = (bytes: number): string => (bytes / 1000).toFixed(1);
  const { firstScreen, workbench, later } = all;
  console.table(
    Object.entries({ 'first screen': firstScreen, 'workbench until its first picture': workbench, ...later })
      .sort(([, a], [, b]) => b - a)
      .map(([part, bytes]) => ({ part, KB: kilobytes(bytes) })),
  );
  const ratio = firstScreen / BARE_PAGE;
  verdict(
    `first screen ${ratio.toFixed(2)} × a bare page, at most ${FIRST_SCREEN_RATIO}`,
    ratio <= FIRST_SCREEN_RATIO,
  );
  verdict(
    `workbench ${kilobytes(workbench)} KB, at most ${kilobytes(WORKBENCH_BYTES)}`,
    workbench <= WORKBENCH_BYTES,
  );
}

/** How long the terminal's command takes to start. */
export function terminal(): void {
  console.log('\nThe terminal, from a start to its answer\n');
  const all = starts();
  console.table(
    all.map(({ command, ms, times }) => ({ command, ms: ms.toFixed(0), times: times.toFixed(2) })),
  );
  verdict(
    `a command takes at most ${START_RATIO_BUDGET} times as long as Node alone`,
    all.every(({ times }) => times <= START_RATIO_BUDGET),
  );
}
