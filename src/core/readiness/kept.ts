/**
 * A decision as it is kept in the clear: that a limit acted and what it did stays, which one goes. What is written of
 * somebody's health lies in the sealed notes and nowhere else.
 */
export function withoutLimits<D extends { readonly reasons: readonly { readonly code: string }[] }>(
  decision: D,
): D {
  return {
    ...decision,
    reasons: decision.reasons.map((reason) =>
      reason.code === 'limited' ? { ...reason, because: [] } : reason,
    ),
  }
}
