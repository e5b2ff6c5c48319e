import { defineConfig } from '@playwright/test'

export default defineConfig({
  testDir: './e2e',
  globalSetup: './e2e/demo-once.ts',
  timeout: 90_000,
  // As long as a click: a busy machine may stall for ten seconds with nothing wrong.
  expect: { timeout: 20_000 },
  // Every file has a server and data of its own, so two run beside each other.
  workers: 2,
  fullyParallel: false,
  forbidOnly: Boolean(process.env.CI),
  reporter: [['line'], ['json', { outputFile: 'reports/playwright.json' }]],
  use: {
    // A click that finds nothing says where, long before the journey's own time is up.
    actionTimeout: 20_000,
    navigationTimeout: 30_000,
    viewport: { width: 1280, height: 800 },
    locale: 'en-GB',
    timezoneId: 'Europe/London',
    launchOptions: {
      executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
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
})
