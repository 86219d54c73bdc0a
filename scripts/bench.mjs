// Benchmarks as ratios in one run; see bench/src.
import { run } from './run.mjs';
import { installPackages } from './setup.mjs';

await installPackages();
process.exit(await run('npm', ['run', '--silent', 'bench', '--workspace', 'bench']));
