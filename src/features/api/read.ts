import 'server-only'
import { allTurns } from '@/core/classes/plan'
import { addDays, type Day } from '@/core/day'
import type { ApiAnswer } from '@/core/formats/api'
import { foldEvidence } from '@/core/readiness/evidence'
import { classLines, findClass } from '@/db/classes'
import { evidenceOf } from '@/db/evidence'
import { findStudent, listNames } from '@/db/students'
import type { Context } from '../context'
import { classFile } from '../desk/class-file'
import { BOARD } from '../desk/families'
import { decisionIn, standings } from '../desk/standing'

const PAGE = 50
/** Without a first day results of so many days are told. */
const USUAL_DAYS = 42

export function practiceAnswer({ practice }: Context): ApiAnswer<'/practice'> {
  return {
    stages: practice.stages.map(({ id, name, family, after, gates }) => ({
      ...{ id, name, family },
      after: [...after.all, ...after.some.flatMap((group) => group.of)],
      checks: gates.map(({ check, op, value, days }) => ({
        check,
        op,
        value: value ?? null,
        days: days?.clean ?? null,
      })),
    })),
    drills: practice.drills.map(({ id, name, theme, minutes }) => ({ id, name, theme, minutes })),
    checks: practice.checks.map(({ id, name, kind, unit }) => ({ id, name, kind, unit })),
  }
}

export function studentsAnswer({ scope }: Context): ApiAnswer<'/students'> {
  return { students: listNames(scope) }
}

/** The answer in each family and nothing of why: reasons name limits. */
export function readinessAnswer(ctx: Context, id: string): ApiAnswer<'/students/{id}/readiness'> | null {
  if (!findStudent(ctx.scope, id)) return null
  const stands = standings(ctx, [id]).get(id)
  if (!stands) return null
  return {
    student: id,
    day: ctx.clock.today,
    families: BOARD.map((family) => {
      const { outcome, standing, targetId } = decisionIn(stands, family)
      return { family, outcome, standing: standing?.stageId ?? null, target: targetId }
    }),
  }
}

/** Results and tries between two days; notes, aids and what ended the work are left out. */
export function resultsAnswer(
  { scope, clock }: Context,
  id: string,
  asked: { readonly from?: Day | undefined; readonly to?: Day | undefined },
): ApiAnswer<'/students/{id}/results'> | null {
  if (!findStudent(scope, id)) return null
  const to = asked.to ?? clock.today
  const from = asked.from ?? addDays(to, -USUAL_DAYS)
  const within = ({ day }: { readonly day: Day }): boolean => day >= from && day <= to
  const { observations, attempts } = foldEvidence(evidenceOf(scope, id), clock.today)
  return {
    ...{ student: id, from, to },
    results: observations.filter(within).map((o) => ({
      ...{ id: o.id, day: o.day, check: o.checkId, valid: o.valid },
      values: Object.fromEntries(
        Object.entries(o.values).filter((pair): pair is [string, number] => typeof pair[1] === 'number'),
      ),
    })),
    tries: attempts.filter(within).map((a) => ({
      ...{ id: a.id, day: a.day, stage: a.stageId, level: a.level, outcome: a.outcome, help: a.help },
      ...{ seconds: a.seconds, lead: a.lead },
    })),
  }
}

export function classesAnswer({ scope }: Context, before: Day | null): ApiAnswer<'/classes'> {
  const { lines, earlier } = classLines(scope, before, PAGE)
  return {
    classes: lines.map(({ id, title, day, startTime, minutes, people, planned }) => ({
      ...{ id, title, day, startTime, minutes, people, planned },
    })),
    before: earlier,
  }
}

/** Who does what, where and when, as it holds. How a limit changes it is left out, and who stands in for what. */
export function planAnswer(ctx: Context, id: string): ApiAnswer<'/classes/{id}/plan'> | null {
  const record = findClass(ctx.scope, id)
  const plan = record ? classFile(ctx, record)?.plan : undefined
  if (!record || !plan) return null
  const { title, day, startTime, minutes } = record
  return {
    ...{ id, title, day, startTime, minutes },
    blocks: plan.blocks.map((block) => ({
      ...{ kind: block.kind, startS: block.startS, seconds: block.seconds },
      items: 'items' in block ? block.items.map(({ id: item, seconds }) => ({ id: item, seconds })) : [],
      people:
        'people' in block
          ? block.people.map((doing) => ({
              ...{ student: doing.studentId, variant: doing.variantId, wave: doing.wave, place: doing.place },
              turns: allTurns(block, doing),
            }))
          : [],
    })),
  }
}
