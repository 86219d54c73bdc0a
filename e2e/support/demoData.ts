import { rmSync } from 'node:fs';
import { testServer } from './server';

/** Makes the data of the demo film, once for all tests: each server starts with a copy. @returns what takes it away when all tests are done */
export default async function makeDemoData(): Promise<() => void> {
  const server = await testServer(['--demo']);
  await server.start();
  await server.stop('SIGTERM');
  process.env.HUMBLE_E2E_DEMO_DATA = server.folder;
  return () => rmSync(server.folder, { recursive: true, force: true });
}
