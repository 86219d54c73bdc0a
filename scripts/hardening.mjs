// What the server has to stand: kills, first starts, bad requests, heavy documents; see server/src/hardening.
import buildServer from './buildServer.mjs';
import { run } from './run.mjs';
import { installPackages } from './setup.mjs';

await installPackages();
await buildServer();
process.exit(await run('npm', ['run', '--silent', 'hardening', '--workspace', 'server']));
