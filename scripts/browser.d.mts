import type { Browser } from '@playwright/test'

/** Debian's Chromium with nothing that reaches for a network, and more of its flags where they are wanted. */
export function launchBrowser(more?: readonly string[]): Promise<Browser>
