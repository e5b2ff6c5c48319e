import { isWork } from '@/core/classes/plan'
import { USUAL_AIM } from '@/core/classes/aim'
import type { Brief, BriefPerson } from '@/core/classes/brief'
import { validatePlan } from '@/core/planning/check/validate'
import { readCraft } from '@/core/planning/craft'
import { onTheHope } from '@/core/planning/hope'
import { asItHolds } from '@/core/planning/now'
import { planClass } from '@/core/planning/plan-class'
import { shippedPractice } from '@/core/practice/library'
import type { Family } from '@/core/practice/schema'
import { capsFrom, NO_LIMITS, type Caps } from '@/core/screening/caps'
import { describeCraft } from '@/core/words/craft'
import { blockTitle, variantName } from '@/core/words/plan'
import { describeRun, describeTurns } from '@/core/words/turns'
import { brief, person, unasked } from '@/testing/briefs'

/** Twelve classes printed as a teacher reads them (hour.md 4): `tsx scripts/hour-twelve.ts`. */
const practice = shippedPractice()
const LIMITS = ['BPH-managed', 'EYE-P', 'PREGNANT', 'WRIST', 'KNEE', 'BONE'] as const
const conditions = new Set(practice.cautions.flatMap((c) => c.conditions))

/** Nine people spread over a family's ladder, the first of them new. */
function spread(family: Family, limits: (i: number) => Caps = () => NO_LIMITS): BriefPerson[] {
  const ladder = practice.stages.filter((s) => s.family === family && !s.like && !s.rests)
  return Array.from({ length: 9 }, (_, i) => {
    const at = i === 0 ? -1 : Math.floor(((i - 1) / 8) ** 1.4 * (ladder.length - 1))
    const [standing, next] = [ladder[at], ladder[at + 1]]
    return person(i + 1, {
      family,
      standingId: standing?.id ?? null,
      targetId: next?.id ?? null,
      outcome: i % 3 === 1 ? 'offer' : i % 3 === 2 ? 'near' : 'held',
      limits: limits(i),
    })
  })
}

/** The same people with where they stand in a second family. */
function both(a: readonly BriefPerson[], b: readonly BriefPerson[], family: Family): BriefPerson[] {
  return a.map((p, i) => {
    const other = b[(i * 4) % b.length]?.families[family]
    return other ? { ...p, families: { ...p.families, [family]: other } } : p
  })
}

const one = (families: Family[], minutes: number, bays: number, people: BriefPerson[]): Brief =>
  brief({ people, minutes, bays, aim: { ...USUAL_AIM, kind: 'practice', families } })
const limited = (i: number): Caps => {
  const condition = [...conditions].filter((c) => LIMITS.some((l) => c.startsWith(l)))[i % 6]
  return condition
    ? capsFrom(practice, { set: new Set([condition]), unknown: [] }, [], '2026-03-10')
    : NO_LIMITS
}

const CLASSES: readonly (readonly [string, Brief])[] = [
  ['forearm stand, 75 min, 5 bays', one(['FS'], 75, 5, spread('FS'))],
  ['headstand, 60 min, 4 bays', one(['HD'], 60, 4, spread('HD'))],
  ['handstand, 75 min, 3 bays', one(['HS'], 75, 3, spread('HS'))],
  ['crow, 60 min, 2 bays', one(['CR'], 60, 2, spread('CR'))],
  ['shoulder stand, 60 min, 2 bays', one(['SH'], 60, 2, spread('SH'))],
  ['low push-up, 45 min, no wall', one(['PU'], 45, 0, spread('PU'))],
  ['forearm stand and crow, 75 min', one(['FS', 'CR'], 75, 4, both(spread('FS'), spread('CR'), 'CR'))],
  ['headstand and handstand, 90 min', one(['HD', 'HS'], 90, 4, both(spread('HD'), spread('HS'), 'HS'))],
  ['handstand and low push-up, 60 min', one(['HS', 'PU'], 60, 3, both(spread('HS'), spread('PU'), 'PU'))],
  ['shoulder stand and crow, 75 min', one(['SH', 'CR'], 75, 3, both(spread('SH'), spread('CR'), 'CR'))],
  [
    'nobody asked, nobody known, forearm stand, 75 min',
    one(
      ['FS'],
      75,
      5,
      Array.from({ length: 9 }, (_, i) =>
        unasked(person(i + 1, { standingId: null, targetId: 'FS-01', outcome: 'build', limits: NO_LIMITS })),
      ),
    ),
  ],
  ['all limited, forearm stand, 60 min', one(['FS'], 60, 4, spread('FS', limited))],
]

const clock = (s: number): string => `${Math.floor(s / 60)}:${String(s % 60).padStart(2, '0')}`
for (const [name, b] of CLASSES) {
  console.log(`\n## ${name}\n`)
  const made = planClass(practice, b)
  if (!made.ok) {
    console.log(made.refusal)
    continue
  }
  const { plan } = made.value
  const told = asItHolds(practice, plan, b)
  for (const [i, block] of plan.blocks.entries()) {
    const title = blockTitle(practice, block.kind, isWork(block) ? block.purpose : '')
    console.log(
      `${clock(block.startS)} ${title}, ${(block.seconds / 60).toFixed(1)} min${isWork(block) ? `, ${describeRun(block)}` : ''}`,
    )
    if (!isWork(block)) {
      if (block.items.length > 0)
        console.log(
          `      ${block.items.map((x) => `${[...practice.drills, ...practice.counterposes].find((d) => d.id === x.id)?.name ?? x.id} ${x.seconds} s`).join('; ')}`,
        )
      continue
    }
    for (const d of block.people) {
      const now = told.blocks[i]
      const floor = now && isWork(now) ? now.people.find((x) => x.studentId === d.studentId) : undefined
      const until =
        floor && floor.variantId !== d.variantId && floor.variantId
          ? ` | until asked: ${variantName(practice, floor.variantId)}`
          : ''
      console.log(
        `      ${d.studentId} ${block.waves > 1 ? `w${d.every ? '*' : d.wave} ` : ''}${d.variantId ? variantName(practice, d.variantId) : 'waits'} ${d.place ?? ''} ${d.variantId ? describeTurns(d, block) : ''}${d.then ? ` then ${variantName(practice, d.then)}` : ''}${d.change ? ` [${d.change.words.join(' ')}]` : ''}${until}`,
      )
    }
  }
  const craft = readCraft(practice, onTheHope(b), plan)
  const broken = validatePlan(practice, onTheHope(b), plan)
  console.log(
    `broken: ${broken.map((v) => v.code).join(', ') || 'nothing'}; craft ${craft.filter((c) => c.held).length} of 12`,
  )
  for (const c of craft.filter((x) => !x.held)) console.log(`   - ${describeCraft(c, (id) => id)}`)
}
