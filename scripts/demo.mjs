// Installs what is missing, builds what has changed, and serves the application with the demo film.
import { buildApplication } from './build.mjs';
import buildServer from './buildServer.mjs';
import { serve } from './serve.mjs';
import { installPackages } from './setup.mjs';

await installPackages();
await buildApplication();
await buildServer();
serve(['--demo', ...process.argv.slice(2)]);
