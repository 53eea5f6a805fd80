import { defineConfig } from '@playwright/test';

/** Browser tests on Debian's Chromium, three workers, each with its own server and database. */
const PHONE = { width: 390, height: 844 };
const WIDE = { width: 1280, height: 800 };

export default defineConfig({
  testDir: 'e2e',
  workers: 3,
  fullyParallel: true,
  // a machine that others share stands still at the worst moment; what passed only then is named by npm test
  retries: 1,
  // a busy machine stands still for longer than a page ever needs, and is slower by five; what passes does not wait for it
  timeout: 300_000,
  expect: { timeout: 45_000 },
  reporter: [['list'], ['json', { outputFile: 'test-results/browser.json' }]],
  use: {
    // what is not there by then never comes: a test that waits for it would hold a worker up for five minutes
    actionTimeout: 60_000,
    launchOptions: {
      executablePath: process.env.STEDDO_CHROMIUM ?? '/usr/bin/chromium-headless-shell',
      args: [
        '--headless',
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
        // a page lives for seconds here: its code is compiled quickly rather than well
        '--js-flags=--no-opt --interrupt-budget-for-maglev=600000',
      ],
    },
    trace: 'off',
  },
  projects: [
    { name: 'phone', use: { viewport: PHONE, hasTouch: true }, testIgnore: /(journey|\.wide)\.spec/ },
    { name: 'wide', use: { viewport: WIDE }, testMatch: /(journey|\.wide)\.spec/ },
  ],
});
