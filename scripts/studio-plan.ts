// Plans the class of the day in a studio of ten years, once, as its teacher would before taking it to class:
// `tsx --conditions=react-server scripts/studio-plan.ts FOLDER DAY`.
import { v7 } from 'uuid'
import { findClass, nextClass } from '@/db/classes'
import { planOf } from '@/db/plans'
import { contextFor, SHUT } from '@/features/context'
import { planClass } from '@/core/planning/plan-class'
import { briefFor } from '@/features/desk/class-file'
import { keepPlan } from '@/features/plans/replan'

const [folder = '', day = ''] = process.argv.slice(2)
process.env.LEVITAR_DATA = folder
process.env.LEVITAR_NOW = `${day}T17:00:00Z`
const ctx = contextFor(SHUT)
const found = nextClass(ctx.scope, ctx.clock.today)
const record = found && findClass(ctx.scope, found.id)
if (record?.day !== day) throw new Error('no class on that day')
if (!planOf(ctx.scope, ctx.health.key, record.id)) {
  const brief = briefFor(ctx, record, [])
  const made = planClass(ctx.practice, brief)
  if (!made.ok) throw new Error(made.refusal.code)
  keepPlan(ctx, record.id, v7(), { plan: made.value.plan, brief })
}
