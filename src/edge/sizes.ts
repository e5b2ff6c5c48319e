const MB = 1024 * 1024
/** A table of ten years in one go; what a form sends is far less. */
const USUAL = 5 * MB
/** What may be sent to the two pages that take a whole studio: its file, or a copy of its database. */
const LARGE: Readonly<Record<string, number>> = {
  '/studio-file/brought': 128 * MB,
  '/studio-file/restored': 512 * MB,
}

/** How much may be sent to a path, bytes. */
export function mostBytes(pathname: string): number {
  return LARGE[pathname] ?? USUAL
}

/** Whether a path takes so much that it may come without its length told first. */
export function takesLarge(pathname: string): boolean {
  return pathname in LARGE
}

/** The most that any path takes: what is before the app must let so much through. */
export const MOST_BYTES = Math.max(USUAL, ...Object.values(LARGE))
