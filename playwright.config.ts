import { defineConfig } from '@playwright/test';

export default defineConfig({
  testDir: 'test/browser',
  testMatch: '**/*.spec.ts',
  globalSetup: './test/browser/seed-once.ts',
  workers: 1,
  retries: 0,
  // These only end what hangs: how fast a page is is a matter of the benches, and a busy machine is no fault of the page.
  timeout: 600_000,
  expect: { timeout: 60_000 },
  forbidOnly: true,
  reporter: [['list'], ['json']],
  use: {
    viewport: { width: 1280, height: 800 },
    trace: 'off',
    actionTimeout: 60_000,
    launchOptions: {
      executablePath: process.env['CHIRAL_CHROMIUM'] ?? '/usr/bin/chromium',
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
});
