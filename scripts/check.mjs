// A quick look at what was changed since the last commit on main: format, lint, layers, types, unit tests.
import { execFileSync } from 'node:child_process';
import { existsSync } from 'node:fs';
import { ROOT, run, seconds } from './run.mjs';
import { installPackages } from './setup.mjs';

await installPackages();
const git = (...args) =>
  execFileSync('git', args, { cwd: ROOT, encoding: 'utf8' }).split('\n').filter(Boolean);
const changed = [
  ...new Set([...git('diff', '--name-only', 'HEAD'), ...git('ls-files', '--others', '--exclude-standard')]),
].filter((file) => existsSync(`${ROOT}/${file}`));
const code = changed.filter((file) => /\.(ts|tsx|js|cjs|mjs)$/.test(file));
const workspaces = ['core', 'cli', 'server', 'app', 'e2e', 'bench'];
const isCoreChanged = code.some((file) => file.startsWith('core/'));
const touched = workspaces.filter(
  (name) => isCoreChanged || code.some((file) => file.startsWith(`${name}/`)),
);
const tested = ['core', 'cli', 'server', 'app'].filter((name) => touched.includes(name));

const isAny = code.length > 0;
/** Two lines of work that go at the same time, and then the tests, which take all cores themselves. */
const STAGES = [
  [
    [
      [
        'Format',
        'npx',
        ['prettier', '--check', '--ignore-unknown', '--log-level', 'warn', ...changed],
        changed.length > 0,
      ],
      ['Lint', 'npx', ['eslint', '--max-warnings', '0', '--no-warn-ignored', ...code], isAny],
      ['Layers', 'npm', ['run', '--silent', 'layers'], isAny],
    ],
    [['Types', 'npx', ['tsc', '-b', ...touched], touched.length > 0]],
  ],
  [
    tested.map((name) => [
      `Unit tests of ${name}`,
      'npm',
      ['run', '--silent', 'unit', '-w', name, '--', '-o'],
      true,
    ]),
  ],
];

const began = Date.now();
let failed = 0;
async function perform(steps) {
  for (const [name, command, args, isWanted] of steps) {
    if (!isWanted) continue;
    const since = Date.now();
    const isGood = (await run(command, args)) === 0;
    if (!isGood) failed++;
    console.log(`${isGood ? 'passed' : 'FAILED'}  ${name}  (${seconds(since)})`);
  }
}
for (const lines of STAGES) await Promise.all(lines.map(perform));
console.log(changed.length === 0 ? 'Nothing was changed.' : `${failed} failed, in ${seconds(began)}`);
process.exit(failed === 0 ? 0 : 1);
