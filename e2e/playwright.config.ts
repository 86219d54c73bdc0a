import { existsSync } from 'node:fs';
import { defineConfig } from '@playwright/test';

const CHROMIUM = '/usr/bin/chromium';
/** The same without a window at all: it takes an eighth less time. */
const HEADLESS_SHELL = '/usr/bin/chromium-headless-shell';

/** Debian's Chromium, told to keep to this machine. */
const launchOptions = {
  executablePath: existsSync(HEADLESS_SHELL) ? HEADLESS_SHELL : CHROMIUM,
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
    // A camera that shows a test picture, and is allowed.
    '--use-fake-device-for-media-stream',
    '--use-fake-ui-for-media-stream',
  ],
};

/** Frames a second are counted by themselves: beside other tests they say more of the machine than of the application. */
const SPEED = /speed\.spec/;
const phone = { viewport: { width: 390, height: 844 }, hasTouch: true };
const wide = { viewport: { width: 1280, height: 800 }, hasTouch: false };

export default defineConfig({
  testDir: './tests',
  globalSetup: ['../scripts/buildServer.mjs', './support/demoData.ts'],
  outputDir: './test-results',
  fullyParallel: true,
  workers: 2,
  timeout: 120_000,
  expect: { timeout: 20_000 },
  retries: process.env.CI ? 1 : 0,
  forbidOnly: Boolean(process.env.CI),
  reporter: [['list']],
  // A trace of every test costs a third of the time: it is recorded when one is tried again.
  use: {
    launchOptions,
    actionTimeout: 20_000,
    trace: 'on-first-retry',
    locale: 'en-GB',
    // Tests of the offline start allow it: elsewhere it would answer in the server's place.
    serviceWorkers: 'block',
    colorScheme: 'light',
  },
  projects: [
    { name: 'phone', testIgnore: SPEED, use: phone },
    { name: 'wide', testIgnore: SPEED, grepInvert: /@once/, use: wide },
    { name: 'phone-speed', testMatch: SPEED, use: phone },
    { name: 'wide-speed', testMatch: SPEED, use: wide },
  ],
});
