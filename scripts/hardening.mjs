// What the server has to stand: kills, first starts, bad requests, heavy documents; see server/src/hardening.
import { run } from './run.mjs';
import { installPackages } from './setup.mjs';

await installPackages();
process.exit(await run('npm', ['run', '--silent', 'hardening', '--workspace', 'server']));
