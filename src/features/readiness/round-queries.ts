import 'server-only'
import { findById, library } from '@/core/practice/library'
import type { ReadinessCheck } from '@/core/practice/schema'
import { checkNext, roundMinutes, suggestedRound } from '@/core/readiness/check-next'
import { shown, faultName } from '@/core/words/reason'
import { findClass, nextClass } from '@/db/classes'
import { listStudents } from '@/db/students'
import { context } from '../context'
import { judgeFor } from '../judge'

/** Minutes that a round of checks may take before class begins. */
const ROUND_MINUTES = 8
/** Fault chips beside a lane. */
const CHIPS = 4

/** The class that a round would be for: tonight’s, or the next. */
export function nextRound(): { classId: string; title: string } | null {
  const { db, today } = context()
  const record = nextClass(db, today)
  return record ? { classId: record.id, title: record.title } : null
}

export type RoundCheck = {
  id: string
  name: string
  asks: string
  run: string
  valid: string
  kind: ReadinessCheck['kind']
  unit: string
  side: ReadinessCheck['side']
  levels: string[]
  minutes: number
  /** Whose answer it could change, first those it would settle. */
  settles: string
  faults: { id: string; name: string }[]
}
export type RoundData = {
  classId: string
  title: string
  people: { id: string; name: string; today: Record<string, string> }[]
  suggested: string[]
  checks: RoundCheck[]
  bundles: { id: string; name: string; checks: string[] }[]
}

/** A round for one class: what would settle most in eight minutes, who does it, what was recorded today. */
export function roundData(classId: string): RoundData | null {
  const ctx = context()
  const record = findClass(ctx.db, classId)
  if (!record) return null
  const practice = library()
  const judge = judgeFor(ctx, classId)
  const people = listStudents(ctx.db).filter((s) => record.roster.includes(s.id))
  const decisions = people.map((p) => judge.decide(p.id))
  const worth = checkNext(practice, decisions)
  const nameOf = (id: string): string => people.find((p) => p.id === id)?.name.split(' ')[0] ?? ''
  const asked = [
    ...new Set([...worth.map((w) => w.checkId), ...practice.bundles.flatMap((b) => b.checks)]),
  ].filter((id) => findById(practice.checks, id).life === 'standing')
  const targets = decisions.flatMap((d) =>
    d.targetId === null ? [] : [findById(practice.stages, d.targetId)],
  )
  const faults = [...new Set(targets.flatMap((s) => s.faults))].slice(0, CHIPS)
  return {
    classId,
    title: record.title,
    suggested: suggestedRound(worth, practice, ROUND_MINUTES),
    bundles: practice.bundles.map((b) => ({
      id: b.id,
      name: b.name,
      checks: b.checks.filter((c) => asked.includes(c)),
    })),
    people: people.map(({ id, name }) => ({
      id,
      name,
      today: Object.fromEntries(
        judge
          .evidence(id)
          .observations.filter((o) => o.day === ctx.today && !o.withdrawn)
          .map((o) => [
            o.checkId,
            shown(findById(practice.checks, o.checkId), o.values.single ?? o.values.left ?? 0),
          ]),
      ),
    })),
    checks: asked.map((id) => {
      const check = findById(practice.checks, id)
      const found = worth.find((w) => w.checkId === id)
      return {
        id,
        name: check.name,
        asks: check.asks,
        run: check.run,
        valid: check.valid,
        kind: check.kind,
        unit: check.unit,
        side: check.side,
        levels: [...(check.levels ?? [])],
        minutes: Math.ceil(roundMinutes(check.seconds)),
        settles: found
          ? `could change ${found.changes}; look first at ${found.first.map(nameOf).join(', ')}`
          : 'settles nothing here today',
        faults: faults.map((f) => ({ id: f, name: faultName(practice, f) })),
      }
    }),
  }
}
