'use client'

/** Where the service worker keeps floor pages. */
const FLOOR = 'levitar-floor'

/** Keeps this page and what it is made of, so that it can be opened while the server is away; nothing where that is not possible. */
export async function keepThisPage(): Promise<void> {
  if (!('serviceWorker' in navigator)) return
  await navigator.serviceWorker.register('/sw.js')
  const { active } = await navigator.serviceWorker.ready
  const files = performance.getEntriesByType('resource').map((entry) => entry.name)
  active?.postMessage({ kind: 'keep', page: location.href, files })
}

/** Forgets the pages that are kept: what may be seen on this device has changed. */
export async function forgetPages(): Promise<void> {
  if ('caches' in globalThis) await caches.delete(FLOOR)
}
