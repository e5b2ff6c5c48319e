'use client'

/** What an address asks for, and what its window keeps until it is closed. */
const ASKED = 'tablet'
const KEPT = 'levitar.tablet'

/**
 * Which tablet this window is: empty for the device itself, else one that is pretended, with a log and an id of its own. It
 * stands in for a second device where there is only one: taps of both meet on the server as two devices' do.
 */
export function pretendedTablet(): string {
  try {
    const asked = new URLSearchParams(window.location.search).get(ASKED)
    if (asked !== null && /^\d$/.test(asked)) sessionStorage.setItem(KEPT, asked)
    return sessionStorage.getItem(KEPT) ?? ''
  } catch {
    // No window, or one that keeps nothing: then it is the device itself.
    return ''
  }
}

/** A name on this device that is this tablet's own. */
export function ownName(name: string): string {
  const tablet = pretendedTablet()
  return tablet === '' ? name : `${name}.${tablet}`
}
