import { defineConfig } from '@playwright/test';

/** The application under test is started by `scripts/test.mjs`, which names it in E2E_URL. */
const baseURL = process.env.E2E_URL ?? 'http://127.0.0.1:3000';

export default defineConfig({
  testDir: 'e2e',
  outputDir: 'test-results',
  workers: 2,
  fullyParallel: false,
  // A second try where nobody watches; the run says how many needed one.
  retries: process.env.CI ? 1 : 0,
  // Generous: a machine with other work takes twice as long, and what passes does not wait.
  timeout: 120_000,
  expect: { timeout: 15_000 },
  reporter: [['list'], ['json']],
  use: {
    baseURL,
    // A trace takes a quarter of the time: it is kept of a second try, or where it is asked for (--trace on).
    trace: 'on-first-retry',
    viewport: { width: 1280, height: 800 },
    launchOptions: {
      executablePath: '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
  },
  projects: [
    { name: 'sign-in', testMatch: 'sign-in.setup.ts' },
    { name: 'browser', testMatch: '*.spec.ts', dependencies: ['sign-in'], use: { storageState: 'test-results/coach.json' } },
    { name: 'bench', testMatch: '*.bench.ts', dependencies: ['sign-in'], use: { storageState: 'test-results/coach.json', trace: 'off' } },
    { name: 'screenshots', testMatch: 'screenshots.shots.ts', dependencies: ['sign-in'], use: { storageState: 'test-results/coach.json' } },
  ],
});
