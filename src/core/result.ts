/** The outcome of something that may be refused. Refusals are data; exceptions are bugs. */
export type Result<T, R> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly refusal: R }

/** Wraps a value as success. */
export function ok<T>(value: T): { readonly ok: true; readonly value: T } {
  return { ok: true, value }
}

/** Wraps a reason as refusal: a code and the numbers it came from. */
export function refused<R>(refusal: R): { readonly ok: false; readonly refusal: R } {
  return { ok: false, refusal }
}
