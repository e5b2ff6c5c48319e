'use client'

/** Something tapped that the server has not confirmed yet. The payload already carries its own id. */
export type Pending = { readonly id: string; readonly kind: string; readonly payload: unknown }

const KEY = 'levitar.outbox'

/** What is waiting on this device, oldest first; survives a reload. */
export function pending(): Pending[] {
  try {
    return JSON.parse(localStorage.getItem(KEY) ?? '[]') as Pending[]
  } catch {
    return []
  }
}

/** Puts something in line to be sent. */
export function enqueue(entry: Pending): void {
  write([...pending(), entry])
}

/**
 * Sends what waits, oldest first, and stops at the first that does not get through.
 * @param send resolves when the server has it (or has refused it for good); rejects when the server was not reached
 * @returns how many still wait
 */
export async function flush(send: (entry: Pending) => Promise<void>): Promise<number> {
  for (const entry of pending()) {
    try {
      await send(entry)
    } catch {
      break
    }
    write(pending().filter((other) => other.id !== entry.id))
  }
  return pending().length
}

function write(entries: Pending[]): void {
  localStorage.setItem(KEY, JSON.stringify(entries))
}
