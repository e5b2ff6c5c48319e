import 'server-only'
import { createHash } from 'node:crypto'
import { existsSync, readFileSync } from 'node:fs'
import path from 'node:path'
import type { Library } from '@/core/practice/library'
import { FAMILIES, type Family } from '@/core/practice/schema'
import type { Decision } from '@/core/readiness/decide'
import { currentRows, keepCurrent, openCurrent } from '@/db/decisions'
import { readAgain } from '@/db/ledger'
import { writeIfItCan } from '@/db/open'
import { ofProcess } from '@/db/process'
import type { Context } from '../context'
import { judgeOf } from './judge'
import { screeningState, type ScreeningState } from './screening'

/** What stands for somebody today outside any class: their decision in every family, and where their screening stands. */
export type StandsNow = {
  readonly decisions: readonly Decision[]
  readonly screening: ScreeningState['code']
}

/**
 * What stands for some people, from what is kept; whoever's facts, health or ways changed since is judged anew and kept.
 * Equal to a fresh judgement of everybody, and far quicker: a list reads one row a person.
 */
export function standings(ctx: Context, studentIds: readonly string[]): ReadonlyMap<string, StandsNow> {
  return readAgain(() => readStandings(ctx, studentIds), sameStandings)
}

/** Equal in every word; what was opened once is the same object. */
function sameStandings(before: ReadonlyMap<string, StandsNow>, now: ReadonlyMap<string, StandsNow>): boolean {
  return [...before].every(([id, stood]) => {
    const stands = now.get(id)
    return stands === stood || JSON.stringify(stands) === JSON.stringify(stood)
  })
}

function readStandings(ctx: Context, studentIds: readonly string[]): ReadonlyMap<string, StandsNow> {
  const { scope, clock, health } = ctx
  const engine = engineOf(ctx.practice)
  const found = new Map<string, StandsNow>()
  if (health.key)
    for (const row of currentRows(scope, studentIds, clock.today, engine)) {
      const memory = opened.get(row.studentId)
      const value =
        memory?.sealed === row.sealed ? memory.value : (openCurrent(health.key, row) as StandsNow | null)
      if (!value) continue
      opened.set(row.studentId, { sealed: row.sealed, value })
      found.set(row.studentId, value)
    }
  const missing = studentIds.filter((id) => !found.has(id))
  if (missing.length === 0) return found
  const judge = judgeOf(ctx)
  for (const studentId of missing) {
    const value = judged(ctx, judge, studentId)
    found.set(studentId, value)
    // Without the key nothing is kept: everything that may be closed is, and that must end the moment the key is back.
    if (!health.key) continue
    const { key } = health
    const sealed = writeIfItCan(() => keepCurrent(scope, key, { studentId, day: clock.today, engine }, value))
    if (sealed !== null) opened.set(studentId, { sealed, value })
  }
  return found
}

/** A fresh judgement, whatever is kept. */
export function judged(ctx: Context, judge: ReturnType<typeof judgeOf>, studentId: string): StandsNow {
  return {
    decisions: FAMILIES.map((family) => judge.decide(studentId, family)),
    screening: screeningState(ctx, judge, studentId).code,
  }
}

/** One family's decision out of what stands. */
export function decisionIn({ decisions }: StandsNow, family: Family): Decision {
  const found = decisions.find((d) => d.family === family)
  if (!found) throw new Error(`no decision in ${family}`)
  return found
}

/** Opened rows, so that a list opens each once; a row that was sealed anew is another text. */
const opened = ofProcess(
  'opened',
  () => new Map<string, { readonly sealed: string; readonly value: StandsNow }>(),
)

const engines = new WeakMap<Library, string>()

/** Which practice and which build judged: what another one kept is judged again. */
export function engineOf(practice: Library): string {
  const known = engines.get(practice)
  if (known) return known
  const build = path.resolve(/* turbopackIgnore: true */ '.next', 'BUILD_ID')
  const made = createHash('sha256')
    .update(JSON.stringify(practice))
    .update(existsSync(build) ? readFileSync(build, 'utf8') : '')
    .digest('hex')
    .slice(0, 16)
  engines.set(practice, made)
  return made
}

/** Lets go of whatever was opened. */
export function forgetOpened(): void {
  opened.clear()
}
