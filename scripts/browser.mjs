import { chromium } from '@playwright/test'

/** Debian's Chromium with nothing that reaches for a network, and more of its flags where they are wanted. */
export function launchBrowser(more = []) {
  return chromium.launch({
    executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
    args: [
      '--no-sandbox',
      '--disable-gpu',
      '--disable-quic',
      '--no-first-run',
      '--disable-background-networking',
      '--disable-component-update',
      '--disable-sync',
      ...more,
    ],
  })
}
