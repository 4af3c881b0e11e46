import { defineConfig } from '@playwright/test'
import { LAUNCH } from './src/cli/browser'

export default defineConfig({
  testDir: 'e2e',
  testMatch: '*.spec.ts',
  workers: 2,
  fullyParallel: false,
  // A shared machine may stand still for seconds: a wait this long ends only when what it waits for is wrong.
  timeout: 300_000,
  expect: { timeout: 60_000 },
  outputDir: 'test-results',
  use: {
    viewport: { width: 1280, height: 800 },
    launchOptions: LAUNCH,
    acceptDownloads: true,
    actionTimeout: 60_000,
    trace: 'off',
  },
})
