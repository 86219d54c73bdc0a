// The application with reload, and the server behind it with the demo film. Ctrl-C stops both.
import { spawn } from 'node:child_process';
import { ROOT } from './run.mjs';
import { installPackages } from './setup.mjs';

await installPackages();
const API_PORT = process.env.PORT ?? '4270';
const env = {
  ...process.env,
  PORT: API_PORT,
  HUMBLE_DEV_API: `http://127.0.0.1:${API_PORT}`,
  EXPO_NO_TELEMETRY: '1',
  EXPO_OFFLINE: '1',
};
const children = [
  spawn(process.execPath, ['--watch', '--import', 'tsx', 'server/src/main.ts', '--demo'], {
    cwd: ROOT,
    stdio: 'inherit',
    env,
  }),
  spawn('npx', ['expo', 'start', '--web'], { cwd: `${ROOT}/app`, stdio: 'inherit', env }),
];
const stop = () => children.forEach((child) => child.kill('SIGINT'));
process.on('SIGINT', stop);
process.on('SIGTERM', stop);
for (const child of children)
  child.on('exit', (code) => {
    stop();
    process.exitCode ||= code ?? 0;
  });
