/** Set while a tablet goes from hand to hand: where it may be, and nowhere else. */
export const PASS_COOKIE = 'levitar.pass'

const PASS_PAGE = /^\/pass\/[0-9a-f-]{36}$/
/** What that page is made of and sends its answers to; and the way in, where the sign-in of a held tablet has ended. */
const SERVED = /^\/(_next\/|facts$|icon\.svg$|sw\.js$|sign-in$)/

/** Whether a path is the page that is passed round. */
export function isPassPage(path: string): boolean {
  return PASS_PAGE.test(path)
}

/**
 * Where a request of a passed-round tablet goes: on (null), or back to its page. A cookie that names no such page holds
 * nobody.
 */
export function heldBack(path: string, cookie: string | undefined): string | null {
  if (cookie === undefined) return null
  const [page = '', ask = ''] = cookie.split('?')
  // Another class’s page names other people: the tablet stays with its own.
  if (!isPassPage(page) || path === page || SERVED.test(path)) return null
  return ask === '' ? page : `${page}?${ask}`
}

/** What the cookie holds for a page: its path, and which questions are asked there. */
export function passedTo(path: string, ask: string | null): string {
  return ask === 'health' ? `${path}?ask=health` : path
}
