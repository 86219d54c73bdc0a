// Benchmarks as ratios in one run; see bench/src.
import { buildApplication } from './build.mjs';
import { run } from './run.mjs';
import { installPackages } from './setup.mjs';

await installPackages();
await buildApplication();
process.exit(await run('npm', ['run', '--silent', 'bench', '--workspace', 'bench']));
