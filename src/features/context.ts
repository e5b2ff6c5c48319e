import 'server-only'
import type { Asker } from '@/core/access/roles'
import type { Day } from '@/core/day'
import type { Library } from '@/core/practice/library'
import { keyOf, type KeyState } from '@/db/health-key'
import { readsOf, type Reads } from '@/db/ledger'
import { dataFolder, ledgerOf, sharedDb, type Db } from '@/db/open'
import { HOME, type Scope } from '@/db/scope'
import { readStudio, type StudioRecord } from '@/db/studio'
import { now, today } from './clock'
import { practiceOf } from './practice'

/** Who asks, and by which sign-in. */
export type Actor = {
  readonly role: Asker
  readonly accountId: string | null
  readonly name: string
  /** The hash of the sign-in's token; null where there is none. */
  readonly signIn: string | null
  /** After quiet minutes, until the password comes again. */
  readonly locked: boolean
}

/** Somebody of whom nothing is known. */
export const NOBODY: Actor = { role: 'nobody', accountId: null, name: '', signIn: null, locked: false }

/** What this screen may show. */
export type Privacy = {
  /** Whether even the words of limits are hidden. */
  readonly hidden: boolean
  /** Whether answers, clearances and reports may be sent to it. */
  readonly notesOpen: boolean
  /** Whether the tablet is passed from hand to hand: it takes answers and shows nothing. */
  readonly passed?: true
}

/** A screen of which nothing is known shows nothing. */
export const SHUT: Privacy = { hidden: true, notesOpen: false }

/** Everything a page or an action works with. It is handed down; nothing reaches for it. */
export type Context = {
  readonly actor: Actor
  readonly scope: Scope
  readonly practice: Library
  readonly studio: StudioRecord
  readonly clock: { readonly today: Day; readonly nowMs: number }
  readonly privacy: Privacy
  readonly health: KeyState
  /** What the practice and the studio were read from, and when: whatever is worked out with them follows from it too. */
  readonly reads: Reads & { readonly since: number }
}

/** A context for a screen, on the shared connection or a transaction on it. */
export function contextFor(privacy: Privacy, db: Db = sharedDb(), actor: Actor = NOBODY): Context {
  const scope = { db, studioId: HOME }
  const since = ledgerOf(db)?.now() ?? 0
  const {
    value: { practice, studio },
    reads,
  } = readsOf(() => {
    const own = practiceOf(scope)
    return { practice: own, studio: readStudio(scope, own) }
  })
  return {
    reads: { ...reads, since },
    actor,
    scope,
    practice,
    studio,
    clock: { today: today(studio.timeZone), nowMs: now().getTime() },
    privacy,
    health: keyOf(scope, dataFolder(), studio.keyCheck),
  }
}
