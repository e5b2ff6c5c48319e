'use client'

/** Where the service worker keeps floor pages. */
const FLOOR = 'levitar-floor'
/** Between tries to get the worker, ms. */
const PAUSES_MS = [1000, 3000, 10_000]

/** Keeps this page and what it is made of, so that it can be opened while the server is away; nothing where that is not possible. */
export async function keepThisPage(): Promise<void> {
  if (!('serviceWorker' in navigator)) return
  await registered()
  const { active } = await navigator.serviceWorker.ready
  const files = performance.getEntriesByType('resource').map((entry) => entry.name)
  active?.postMessage({ kind: 'keep', page: location.href, files })
}

/** A network that drops out while the worker is fetched must not leave the class without it: it is asked for again. */
async function registered(): Promise<void> {
  for (const pauseMs of PAUSES_MS) {
    try {
      await navigator.serviceWorker.register('/sw.js')
      return
    } catch {
      // Another page of the class may get it meanwhile.
      const pause = new Promise((resolve) => setTimeout(resolve, pauseMs))
      await Promise.race([pause, navigator.serviceWorker.ready])
    }
  }
  await navigator.serviceWorker.register('/sw.js')
}

/** Forgets the pages that are kept: what may be seen on this device has changed. */
export async function forgetPages(): Promise<void> {
  if ('caches' in globalThis) await caches.delete(FLOOR)
}
