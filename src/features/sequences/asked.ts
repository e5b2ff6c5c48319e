import 'server-only'
import { lacksOf } from '@/core/classes/reach'
import type { Decision } from '@/core/readiness/decide'
import { isTyped } from '@/core/practice/ask'
import { findById } from '@/core/practice/find'
import type { GateResult } from '@/core/readiness/gate'
import { COUNTED_KINDS } from '@/core/props/stock'
import type { SequenceAsked } from '@/core/sequence/compose'
import type { ForWhom } from '@/core/sequence/may'
import type { StudentRecord } from '@/db/students'
import type { Context } from '../context'
import { beforeThem } from '../desk/before-them'
import { cupboardFor } from '../desk/class-room'
import { judgeOf } from '../desk/judge'

/** What a sequence is composed from and judged by today: everybody's limits and what each is short of. */
export function sequenceAsked(
  ctx: Context,
  students: readonly StudentRecord[],
  minutes: number,
): SequenceAsked {
  const judge = judgeOf(ctx)
  const known = students.map((student) => ({ student, before: beforeThem(ctx, judge, student) }))
  const people = known.map(({ student, before }): ForWhom => {
    const { within, nearest } = before
    return { within, lacks: nearest ? lacksOf(ctx.practice, nearest) : {}, breathS: student.breathS }
  })
  const nearest = mostAsked(known.flatMap(({ before }) => before.nearest ?? []))
  const typed = (m: GateResult): boolean => isTyped(findById(ctx.practice.checks, m.gate.check))
  const missing = nearest?.missing.find((m) => m.state !== 'confirm' && typed(m))
  return {
    ...{ people, minutes },
    towards: nearest?.targetId ? findById(ctx.practice.stages, nearest.targetId) : null,
    moves: missing?.gate.check ?? null,
    has: hasFor(ctx, students.length),
  }
}

/** The step that most of them have before them; of equal ones the first named. */
function mostAsked(decisions: readonly Decision[]): Decision | undefined {
  const times = (d: Decision): number => decisions.filter((o) => o.targetId === d.targetId).length
  return decisions.toSorted((a, b) => times(b) - times(a))[0]
}

/** Whether there is a piece for each of them; what nobody counts is there, and without a list everything is. */
function hasFor(ctx: Context, people: number): SequenceAsked['has'] {
  const { listed, lines } = cupboardFor(ctx)
  return (kind) => {
    if (!listed || !(COUNTED_KINDS as readonly string[]).includes(kind)) return true
    return lines.filter((l) => l.kind === kind).reduce((sum, l) => sum + l.count, 0) >= people
  }
}
