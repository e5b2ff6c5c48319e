import 'server-only'
import { doingsOf } from '@/core/classes/plan'
import type { NO_CLASS_BEFORE } from '@/core/classes/reach'
import { wentWithout } from '@/core/classes/without'
import type { Day } from '@/core/day'
import { classLines, findClass } from '@/db/classes'
import type { Context } from '../context'
import { toldPlan } from './class-brief'

/** Classes looked back at: who waited there is owed a turn, what was done there is not done again at once. */
const LOOKED_BACK = 2
const LISTED = 8

/** What somebody's last classes leave for this one. */
export type Before = typeof NO_CLASS_BEFORE

/** The last two planned classes before a day, read once for everybody. */
export function beforeClass(ctx: Context, day: Day): (studentId: string) => Before {
  const { scope } = ctx
  const plans = classLines(scope, day, LISTED)
    .lines.filter((c) => c.planned)
    .slice(0, LOOKED_BACK)
    .flatMap((c) => {
      const record = findClass(scope, c.id)
      return (record && toldPlan(ctx, record)) ?? []
    })
  const without = plans.map(({ plan, brief }) => wentWithout(plan, brief))
  return (studentId) => ({
    waited: {
      wall: without.filter((w) => w.wall.includes(studentId)).length,
      help: without.filter((w) => w.help.includes(studentId)).length,
    },
    recent: plans.map(({ plan }) =>
      plan.blocks
        .flatMap(doingsOf)
        .flatMap((d) => (d.studentId === studentId && d.variantId?.startsWith('DR-') ? [d.variantId] : [])),
    ),
  })
}
