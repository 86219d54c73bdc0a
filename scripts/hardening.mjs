// What has to be stood: kills, first starts, bad requests, heavy documents, wrong clocks; see server/src/hardening.
import buildServer from './buildServer.mjs';
import { run } from './run.mjs';
import { installPackages } from './setup.mjs';

await installPackages();
await buildServer();
const server = await run('npm', ['run', '--silent', 'hardening', '--workspace', 'server']);
// The application's own part: an hour without the server, in simulated time.
const hour = await run('npm', ['exec', '--workspace', 'app', '--', 'jest', '--silent=false', 'hourAway'], {
  env: { HUMBLE_HARDENING: '1' },
});
process.exit(server || hour);
