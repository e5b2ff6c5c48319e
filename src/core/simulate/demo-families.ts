import { addDays, type Day } from '../day'
import { namesIn } from '../practice/after'
import { leastSeconds } from '../practice/dose'
import { findById } from '../practice/find'
import { shippedPractice } from '../practice/library'
import type { Family, Gate, ReadinessCheck, Stage } from '../practice/schema'
import { PLAIN_RESULT, PLAIN_TRY, type Attempt, type Observation, type Values } from '../readiness/evidence'
import { answersTo } from '../practice/after'
import { severityOf } from '../readiness/severity'
import type { DemoWorld, Maker } from './demo'

/** People who work in the other families, each somewhere else in each: every outcome is to be seen in every family. */
const PEOPLE = [
  { name: 'Lotte Brandis', statureCm: 171 },
  { name: 'Emeka Varn', statureCm: 182 },
  { name: 'Suki Amberley', statureCm: 159 },
  { name: 'Otto Pell', statureCm: 177 },
  { name: 'Rosalind Quay', statureCm: 166 },
  { name: 'Ivo Tarn', statureCm: 188 },
  { name: 'Mina Holloway', statureCm: 163 },
] as const
/** Strong enough for all of it, and barred from most: pressure that nobody steadies, and a sore wrist. */
const BARRED = {
  name: 'Mina Holloway',
  yes: [
    ['Q01', 'high-open'],
    ['Q07', 'sore'],
  ],
} as const

/** Where each family's people work towards: a stage in the middle of its ladder. */
const TOWARDS = {
  PU: 'PU-08',
  HD: 'HD-04',
  HS: 'HS-05c',
  CR: 'CR-08',
  SH: 'SH-13',
} as const satisfies Partial<Record<Family, string>>
type Shown = 'offer' | 'once-more' | 'near' | 'build' | 'step-back' | 'placed'
const SHOWN: readonly Shown[] = ['offer', 'once-more', 'near', 'build', 'step-back', 'placed']

/** How far what is shown lies from the mark, and on how many of the last class days. */
const BY_SHOWN: Readonly<Record<Shown, { readonly share: number; readonly days: number }>> = {
  offer: { share: 1.4, days: 4 },
  'step-back': { share: 1.4, days: 4 },
  placed: { share: 1.4, days: 1 },
  'once-more': { share: 1, days: 1 },
  near: { share: 0.87, days: 2 },
  build: { share: 0.4, days: 2 },
}

/** Adds seven people with eight weeks of work in five families, and their Thursday group. */
export function addFamilies(world: DemoWorld, asOf: Day, maker: Maker): void {
  const members = PEOPLE.map(({ name, statureCm }, person) => {
    const id = maker.id(addDays(asOf, -56))
    world.students.push({ id, name, statureCm, breathS: 5, measured: {}, contact: '' })
    const said = addDays(asOf, -40)
    const answers =
      name === BARRED.name
        ? BARRED.yes.map(([question, option]) => ({
            ...{ question, options: [option], day: said },
            ...{ choice: 'yes' as const, given: 'by-student' as const },
          }))
        : []
    world.said.push({
      ...{ id: maker.id(said), studentId: id, day: said, answers, gentle: null },
      nothingApplies: said,
    })
    Object.values(TOWARDS).forEach((stageId, family) => {
      const shown = name === BARRED.name ? 'offer' : (SHOWN[(person + family) % SHOWN.length] ?? 'build')
      works(world, { id, asOf, maker }, findById(shippedPractice().stages, stageId), shown)
    })
    return id
  })
  world.groups.push({
    id: maker.id(addDays(asOf, -56)),
    ...{ name: 'Thursday hands and heads', weekday: 4, startTime: '19:00', minutes: 60, members },
  })
}

type Who = { readonly id: string; readonly asOf: Day; readonly maker: Maker }

/** Work of somebody towards one stage: what comes before it clean, its checks as far as they are. */
function works(world: DemoWorld, who: Who, target: Stage, shown: Shown): void {
  const { stages, checks } = shippedPractice()
  const before = namesIn(target.after).map((name) => stages.find((s) => answersTo(s.id, name)))
  for (const stage of before)
    if (stage) for (const weeksAgo of [4, 3, 2, 1]) world.attempts.push(tried(who, stage, weeksAgo))
  if (shown === 'step-back') for (const stage of before) if (stage) fell(world, who, stage)
  if (shown === 'placed')
    world.placements.push({
      ...who.maker.stamp(dayOf(who, 1)),
      ...{ kind: 'placement', studentId: who.id, stageId: target.id },
    })
  const own = target.gates.filter((g) => g.life === 'standing')
  const [first] = own.filter((g) => !g.rule && g.op === '>=')
  for (const gate of own) {
    const { share, days } = gate === first ? BY_SHOWN[shown] : BY_SHOWN.offer
    const values = valuesFor(gate, findById(checks, gate.check), share)
    for (let week = Math.min(days, 4); week >= 1; week -= 1)
      world.observations.push(saw(who, gate.check, values, week - 1))
  }
}

function dayOf({ asOf }: Who, weeksAgo: number): Day {
  return addDays(asOf, -7 * weeksAgo - 5)
}

function tried(who: Who, stage: Stage, weeksAgo: number, rest: Partial<Attempt> = {}): Attempt {
  const least = leastSeconds(stage.dose)
  return {
    ...who.maker.stamp(dayOf(who, weeksAgo)),
    ...PLAIN_TRY,
    studentId: who.id,
    stageId: stage.id,
    setupId: stage.setups[0] ?? null,
    seconds: least > 0 ? least + 3 : null,
    ...rest,
  }
}

/** A fault of their own that sends one rung back, on the last day. */
function fell(world: DemoWorld, who: Who, stage: Stage): void {
  const { faults } = shippedPractice()
  const attempt = tried(who, stage, 0, { outcome: 'not-yet', endedBy: 'self' })
  const severe = stage.faults.find((id) => {
    const fault = findById(faults, id)
    return fault.own && severityOf(fault, stage, attempt) === 3
  })
  world.attempts.push(severe ? { ...attempt, faults: [severe] } : { ...attempt, exitControlled: false })
}

function saw(who: Who, checkId: string, values: Values, weeksAgo: number): Observation {
  return { ...who.maker.stamp(dayOf(who, weeksAgo)), ...PLAIN_RESULT, studentId: who.id, checkId, values }
}

/** A value so far from what a gate asks, in the check's own kind, the same on both sides. */
function valuesFor(gate: Gate, check: ReadinessCheck, share: number): Values {
  const asked = gate.value ?? 1
  const raw =
    gate.op === 'yes' ? 1 : gate.op === 'recorded' ? 3 : gate.op === '<=' ? asked / share : asked * share
  const whole = check.kind === 'count' || check.kind === 'level' || check.kind === 'hold'
  const value = Math.min(check.max, Math.max(check.min, whole ? Math.round(raw) : Math.round(raw * 10) / 10))
  return check.side === 'each' ? { left: value, right: value } : { single: value }
}
