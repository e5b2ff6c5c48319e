/** What a server action answers: a value, or problems beside the fields they belong to ('' is the whole form). */
export type Answer<T> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly problems: readonly Problem[] }

export type Problem = { readonly path: string; readonly message: string }

/** A refusal of the whole form, or of one field. */
export function problem(
  message: string,
  path = '',
): { readonly ok: false; readonly problems: readonly Problem[] } {
  return { ok: false, problems: [{ path, message }] }
}

/** Success with a value. */
export function done<T>(value: T): { readonly ok: true; readonly value: T } {
  return { ok: true, value }
}
