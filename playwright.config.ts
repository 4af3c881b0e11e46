import { defineConfig } from '@playwright/test'
import { CHROMIUM, CHROMIUM_FLAGS } from './src/cli/browser'

export default defineConfig({
  testDir: 'e2e',
  testMatch: '*.spec.ts',
  workers: 1,
  fullyParallel: false,
  timeout: 120_000,
  expect: { timeout: 10_000 },
  outputDir: 'test-results',
  use: {
    viewport: { width: 1280, height: 800 },
    launchOptions: { executablePath: CHROMIUM, args: CHROMIUM_FLAGS },
    acceptDownloads: true,
    actionTimeout: 10_000,
    trace: 'off',
  },
})
