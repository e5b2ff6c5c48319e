import { z } from 'zod'
import { ATTEMPT_CAP } from '@/core/approaches/floor'
import { briefSchema, type Brief } from '@/core/classes/brief'
import type { Plan } from '@/core/classes/plan'
import { briefPerson, NO_CLASS_BEFORE } from '@/core/classes/reach'
import { readPlan } from '@/core/classes/upgrade'
import { onTheHope } from '@/core/planning/hope'
import { validatePlan } from '@/core/planning/check/validate'
import { planClass } from '@/core/planning/plan-class'
import { shippedPractice } from '@/core/practice/library'
import { COUNTED_KINDS } from '@/core/props/stock'
import { FAMILIES } from '@/core/practice/schema'
import { aimSchema, USUAL_AIM } from '@/core/classes/aim'
import { NOTHING_FIXED } from '@/core/classes/fixed'
import { NO_LIMITS, NOT_ASKED } from '@/core/screening/caps'
import { describePlanRefusal } from '@/core/words/plan'
import { InputError, parse, type Command } from './input'
import { checkStudent, day, decideFor, screening, STUDENT_EXAMPLE, studentSchema } from './practice-commands'

const briefAsked = z.strictObject({
  day,
  minutes: z.number(),
  aim: aimSchema.default(USUAL_AIM),
  bays: z.number().int().min(0).max(12),
  stock: z.partialRecord(z.enum(COUNTED_KINDS), z.number().int().min(0)),
  screening,
  students: z.array(studentSchema),
})
const planAsked = z.strictObject({ brief: briefSchema })
const checkAsked = z.strictObject({ brief: briefSchema, plan: z.unknown() })

const EXAMPLE = {
  day: '2026-03-05',
  minutes: 60,
  bays: 3,
  stock: { strap: 6, block: 12 },
  students: ['wren', 'ash', 'fen'].map((id) => ({ ...STUDENT_EXAMPLE, id })),
}
const EXAMPLE_BRIEF = briefOf(parse(briefAsked, EXAMPLE))

/** The documents of a class: a brief goes in, a plan comes out, and either is what the app itself keeps. */
export const PLAN_COMMANDS: readonly Command[] = [
  {
    name: 'brief',
    about:
      'What a plan is made from: who comes, how far each goes in every family, limits, room and cupboard.',
    example: EXAMPLE,
    run: (input) => briefOf(parse(briefAsked, input)),
  },
  {
    name: 'plan',
    about:
      'A first plan for a brief: versions for everybody, waves at the wall, and what the validator says.',
    example: { brief: EXAMPLE_BRIEF },
    run: (input) => {
      const asked = parse(planAsked, input)
      once(asked.brief)
      const plan = planOf(asked.brief)
      return { plan, problems: validatePlan(shippedPractice(), onTheHope(asked.brief), plan) }
    },
  },
  {
    name: 'check-plan',
    about:
      'What the validator says of a plan by the brief it was made from; plans of older releases are read too.',
    example: { brief: EXAMPLE_BRIEF, plan: planOf(EXAMPLE_BRIEF) },
    run: (input) => {
      const asked = parse(checkAsked, input)
      const plan = readPlan(asked.plan)
      if (!plan) throw new InputError(['plan'], 'This is no plan.')
      return { problems: validatePlan(shippedPractice(), onTheHope(asked.brief), plan) }
    },
  },
]

/** Nobody is two people: a brief names each once. */
function once({ people }: Brief): void {
  const double = people.findIndex((p, i) => people.findIndex((q) => q.studentId === p.studentId) < i)
  if (double >= 0)
    throw new InputError(
      ['brief', 'people', double, 'studentId'],
      `“${people[double]?.studentId}” is on the list twice.`,
    )
}

function planOf(brief: Brief): Plan {
  const made = planClass(shippedPractice(), brief)
  if (!made.ok) throw new InputError([], describePlanRefusal(made.refusal))
  return made.value.plan
}

function briefOf({
  day: on,
  minutes,
  aim,
  bays,
  stock,
  screening: screened,
  students,
}: z.output<typeof briefAsked>): Brief {
  const practice = shippedPractice()
  students.forEach((student, i) => {
    if (students.findIndex((s) => s.id === student.id) < i)
      throw new InputError(['students', i, 'id'], `“${student.id}” is on the list twice.`)
    checkStudent(student, on, ['students', i])
  })
  return {
    ...{
      version: 2,
      day: on,
      minutes,
      aim,
      helpers: [],
      locks: [],
      fixed: NOTHING_FIXED,
      strengthFirst: false,
      newThing: 'first' as const,
    },
    room: {
      bays: Array.from({ length: bays }, (_, i) => ({ id: `bay-${i + 1}`, widthCm: 120, corner: i === 0 })),
      mats: null,
      open: 1,
    },
    cupboard: {
      listed: true,
      lines: Object.entries(stock).map(([kind, count]) => ({ id: kind, kind, longCm: null, count })),
    },
    people: students.map((student) => ({
      ...briefPerson(practice, {
        studentId: student.id,
        breathS: 5,
        heightCm: null,
        loopCm: null,
        grown: {},
        weaker: {},
        firstMonth: false,
        mostAttempts: ATTEMPT_CAP.usual,
        touch: 'ask',
        limits: screened === 'recorded' ? NO_LIMITS : NOT_ASKED,
        decisions: FAMILIES.map((family) => decideFor(student, family, screened, on)),
        looked: () => null,
      }),
      ...NO_CLASS_BEFORE,
    })),
  }
}
