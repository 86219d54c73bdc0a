// The same as the demo, without the demo film.
import { buildApplication } from './build.mjs';
import buildServer from './buildServer.mjs';
import { serve } from './serve.mjs';
import { installPackages } from './setup.mjs';

await installPackages();
await buildApplication();
await buildServer();
serve(process.argv.slice(2));
