import { spawn } from 'node:child_process';
import { ROOT } from './run.mjs';

/** Runs the server until it is stopped. Ctrl-C reaches it as well as this process, which waits for it. */
export function serve(args) {
  const server = spawn(process.execPath, ['--enable-source-maps', 'server/dist/main.mjs', ...args], {
    cwd: ROOT,
    stdio: 'inherit',
  });
  process.on('SIGINT', () => undefined);
  process.on('SIGTERM', () => server.kill('SIGTERM'));
  server.on('exit', (code, signal) => process.exit(signal ? 1 : (code ?? 1)));
}
