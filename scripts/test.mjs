// Everything that has to hold, on a bare clone or not: installs what is missing, then checks from the
// cheapest to the dearest. All steps run, so that one report names all that is wrong.
import { buildApplication } from './build.mjs';
import { run, seconds } from './run.mjs';
import { installChromium, installPackages } from './setup.mjs';

await installPackages();
await installChromium();

/** Stages one after the other; within a stage what needs one core each goes at the same time. */
const STAGES = [
  [
    [
      ['Format', 'npx', ['prettier', '--check', '--log-level', 'warn', '.']],
      ['Lint and layers', 'npm', ['run', '--silent', 'lint']],
    ],
    [['Types', 'npm', ['run', '--silent', 'types']]],
  ],
  [[['Unit tests', 'npm', ['run', '--silent', 'unit']]]],
  [[['Build', null, null]]],
  [[['Interface in Chromium', 'npm', ['run', '--silent', 'e2e']]]],
  // Alone: what else runs takes frames from what is measured.
  [[['Speed in Chromium', 'npm', ['run', '--silent', 'speed']]]],
];

const results = [];
async function perform(steps) {
  for (const [name, command, args] of steps) {
    console.log(`\n── ${name} ──`);
    const since = Date.now();
    const isGood = command ? (await run(command, args)) === 0 : (await buildApplication(), true);
    results.push({ name, isGood, took: seconds(since) });
  }
}
const began = Date.now();
for (const stage of STAGES) await Promise.all(stage.map(perform));

console.log('');
for (const { name, isGood, took } of results)
  console.log(`${isGood ? 'passed' : 'FAILED'}  ${name}  (${took})`);
const failed = results.filter(({ isGood }) => !isGood).length;
console.log(`${results.length - failed} passed, ${failed} failed, in ${seconds(began)}`);
process.exit(failed === 0 ? 0 : 1);
