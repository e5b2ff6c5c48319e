'use client'

import { serverSays } from './clock'
import { entries, onLog, prune, readLog, settleFates, type Fate } from './log'
import { bringOver } from './old-outbox'
import { deviceDb } from './store'
import { ownName } from './tablet'

/** Facts in one batch. */
const AT_ONCE = 50
/** The server is asked again after this long, ms. */
const RETRY_MS = 4000
/** An answer that takes longer counts as none, ms. */
const PATIENCE_MS = 15_000

type Answer = {
  readonly id: string
  readonly state: 'stored' | 'known' | 'again' | 'refused'
  readonly why?: string
}
type Received = { readonly answers: readonly Answer[]; readonly nowMs: number; readonly timeZone: string }

/**
 * Sends what waits, oldest first, from one tab at a time. Whatever is not answered, or answered “again”, goes on waiting.
 * @returns whether everything got an answer
 */
export async function pump(): Promise<boolean> {
  if (typeof navigator === 'undefined' || !('locks' in navigator)) return drain()
  return navigator.locks.request(ownName('levitar.pump'), { ifAvailable: true }, (lock) =>
    lock ? drain() : true,
  )
}

async function drain(): Promise<boolean> {
  /** What the server could not take this time: it goes on waiting, and holds up nothing that came after it. */
  const later = new Set<string>()
  for (;;) {
    const waiting = (await readLog())
      .filter((entry) => entry.state === 'waiting' && !later.has(entry.fact.id))
      .slice(0, AT_ONCE)
    if (waiting.length === 0) return later.size === 0
    const received = await send(waiting.map((entry) => entry.fact))
    if (received === null) return false
    const fates = received === 'unreadable' ? await oneByOne(waiting) : fatesOf(received.answers)
    await settleFates(fates)
    const settled = new Set(fates.map(({ id }) => id))
    for (const { fact } of waiting) if (!settled.has(fact.id)) later.add(fact.id)
  }
}

/** A batch that cannot be read as a whole holds one that cannot: it is found by sending each alone. */
async function oneByOne(waiting: ReturnType<typeof entries>): Promise<Fate[]> {
  const fates: Fate[] = []
  for (const { fact } of waiting) {
    const received = await send([fact])
    if (received === null) break
    if (received === 'unreadable')
      fates.push({ id: fact.id, state: 'refused', why: 'The server cannot read it.' })
    else fates.push(...fatesOf(received.answers))
  }
  return fates
}

function fatesOf(answers: readonly Answer[]): Fate[] {
  return answers.flatMap(({ id, state, why = '' }): Fate[] =>
    state === 'again' ? [] : [{ id, state: state === 'refused' ? 'refused' : 'stored', why }],
  )
}

async function send(facts: readonly unknown[]): Promise<Received | 'unreadable' | null> {
  try {
    const answer = await fetch('/facts', {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ facts }),
      signal: AbortSignal.timeout(PATIENCE_MS),
    })
    if (answer.status === 400 || answer.status === 413) return 'unreadable'
    if (!answer.ok) return null
    const received = (await answer.json()) as Received
    serverSays(received.nowMs, received.timeZone)
    return received
  } catch {
    return null
  }
}

/** Keeps sending as long as the page lives: at once after a tap, and again and again while the server is away. */
export function startPump(): () => void {
  let stopped = false
  const turn = (): void => {
    if (!stopped && entries().some((entry) => entry.state === 'waiting')) void pump()
  }
  const stopListening = onLog(turn)
  const timer = setInterval(turn, RETRY_MS)
  void (async () => {
    await deviceDb()
    await bringOver()
    await prune(Date.now())
    await send([])
    turn()
  })().catch(() => undefined)
  return () => {
    stopped = true
    clearInterval(timer)
    stopListening()
  }
}
