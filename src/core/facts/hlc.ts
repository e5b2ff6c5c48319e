/** Hybrid logical clock: wall milliseconds, then a counter that keeps order when the wall clock stands or runs back. */
export type Hlc = { readonly ms: number; readonly counter: number }

/** The next stamp: never earlier than the last one, whatever the device's clock says. */
export function tick(last: Hlc, nowMs: number): Hlc {
  return nowMs > last.ms ? { ms: nowMs, counter: 0 } : { ms: last.ms, counter: last.counter + 1 }
}

/** Sortable text: order of strings is order of stamps. */
export function writeHlc({ ms, counter }: Hlc, deviceId: string): string {
  return `${ms.toString(36).padStart(9, '0')}-${counter.toString(36).padStart(4, '0')}-${deviceId}`
}

/** Reads a stamp back; anything else starts a clock afresh. */
export function readHlc(text: string): Hlc {
  const [ms, counter] = text.split('-')
  const read = { ms: parseInt(ms ?? '', 36), counter: parseInt(counter ?? '', 36) }
  return Number.isFinite(read.ms) && Number.isFinite(read.counter) ? read : { ms: 0, counter: 0 }
}
