import { defineConfig } from '@playwright/test';
import { CHROMIUM } from './tools/chromium';

export default defineConfig({
  testDir: 'tests/browser',
  testMatch: '*.spec.ts',
  globalSetup: './tests/browser/records.ts',
  workers: 3,
  retries: 0,
  timeout: 180_000,
  // three programs begin at once on two cores, which others may use too: what is right is not late
  expect: { timeout: 40_000 },
  reporter: [['list']],
  use: {
    viewport: { width: 1280, height: 800 },
    launchOptions: {
      ...CHROMIUM,
      args: [...CHROMIUM.args, '--disable-background-networking', '--disable-component-update', '--disable-sync', '--no-first-run'],
    },
  },
});
