import { test as base } from '@playwright/test';
import { Bench } from './bench';
import { type Hand, handFor } from './hand';
import { testServer, type TestServer } from './server';

/** For a test of what is the same on every size of screen: it runs on a phone alone. */
export const ONCE = { tag: '@once' };

interface TestFixtures {
  readonly hand: Hand;
  readonly bench: Bench;
  /** A server for this test alone, to be stopped and killed at will. */
  readonly ownServer: TestServer;
}

interface WorkerFixtures {
  readonly server: TestServer;
}

export const test = base.extend<TestFixtures, WorkerFixtures>({
  server: [
    async ({}, use) => {
      const server = await testServer();
      await server.start();
      await use(server);
      await server.remove();
    },
    { scope: 'worker' },
  ],
  ownServer: async ({}, use) => {
    const server = await testServer();
    await server.start();
    await use(server);
    await server.remove();
  },
  baseURL: async ({ server }, use) => use(server.address),
  page: async ({ page }, use) => {
    const faults: string[] = [];
    page.on('pageerror', (error) => faults.push(error.message));
    await use(page);
    // An error that nobody caught fails the test it happened in.
    base.expect(faults).toEqual([]);
  },
  hand: async ({ page, hasTouch }, use) => use(handFor(page, Boolean(hasTouch))),
  bench: async ({ page, hand }, use) => use(new Bench(page, hand)),
});

export { expect } from '@playwright/test';
