/** How near to a root is near enough, in the unit of the value or the argument: chains must close within 1e-6 cm. */
const TOLERANCE = 1e-8
/** Regula falsi with the Illinois step gains a digit or two a step on smooth curves; this many means a bug. */
const MOST_STEPS = 100

/**
 * Where a continuous function crosses zero between two ends (regula falsi, Illinois step).
 * @returns the argument, or null when both ends lie on one side of zero
 */
export function rootOf(f: (x: number) => number, low: number, high: number): number | null {
  let [a, b, fa, fb] = [low, high, f(low), f(high)]
  if (fa === 0) return a
  if (fb === 0) return b
  if (fa * fb > 0) return null
  let side = 0
  for (let i = 0; i < MOST_STEPS; i += 1) {
    const x = (a * fb - b * fa) / (fb - fa)
    const fx = f(x)
    if (Math.abs(fx) < TOLERANCE || Math.abs(b - a) < TOLERANCE) return x
    if (fx * fb < 0) {
      ;[a, fa] = [b, fb]
      side = 0
    } else if (side === 1) fa /= 2
    else side = 1
    ;[b, fb] = [x, fx]
  }
  throw new Error('no convergence')
}
