import { isWork, type Plan } from '@/core/classes/plan'
import type { Brief } from '@/core/classes/brief'
import { readCraft, QUESTIONS, type Question } from '@/core/planning/craft'
import { onTheHope } from '@/core/planning/hope'
import { planClass } from '@/core/planning/plan-class'
import { validatePlan } from '@/core/planning/check/validate'
import { shippedPractice } from '@/core/practice/library'
import { FAMILIES } from '@/core/practice/schema'
import { seeded } from '@/core/random'
import { capsFrom, NO_LIMITS, NOT_ASKED } from '@/core/screening/caps'
import { USUAL_AIM } from '@/core/classes/aim'
import { brief, person, unasked } from '@/testing/briefs'

/** What plans are like over random classes (hour.md 4): `tsx scripts/hour-study.ts [classes] [first seed]`. */
const [COUNT, FIRST] = [Number(process.argv[2] ?? 60), Number(process.argv[3] ?? 1)]
const practice = shippedPractice()
const conditions = [...new Set(practice.cautions.flatMap((c) => c.conditions))]

/** 4–24 people, 45–90 minutes, a third limited, a fifth never asked, a tenth with nothing known at all. */
function randomClass(seed: number): Brief {
  const random = seeded(seed)
  const pick = <T>(of: readonly T[]): T => of[Math.floor(random() * of.length)] as T
  const taught = FAMILIES.flatMap((f) => (f === 'AD' ? [] : [f]))
  const families = random() < 0.45 ? [pick(taught), pick(taught)] : [pick(taught)]
  const named: readonly string[] = families
  const stages = practice.stages.filter((s) => named.includes(s.family) && !s.like)
  const people = Array.from({ length: 4 + Math.floor(random() * 21) }, (_, i) => {
    const known = random()
    const limits =
      known < 0.33
        ? capsFrom(practice, { set: new Set([pick(conditions)]), unknown: [] }, [], '2026-03-10')
        : known < 0.53
          ? NOT_ASKED
          : NO_LIMITS
    // Planned as classes are: on the hope, with the floor beside it until they answer.
    const made = (part: Parameters<typeof person>[1]) =>
      limits === NOT_ASKED
        ? unasked(person(i + 1, { ...part, limits: NO_LIMITS }))
        : person(i + 1, { ...part, limits })
    if (random() < 0.1) return made({ standingId: null, targetId: null, outcome: 'build' })
    const at = Math.floor(random() ** 1.6 * stages.length)
    const standing = stages[at]
    const family = standing?.family ?? 'FS'
    const next = stages.find((s, k) => k > at && s.family === family)
    const outcome = pick(['offer', 'once-more', 'near', 'build', 'held'] as const)
    return made({ family, standingId: standing?.id ?? null, targetId: next?.id ?? null, outcome })
  })
  const b = brief({
    aim: { ...USUAL_AIM, kind: random() < 0.1 ? 'workshop' : 'practice', families: [...new Set(families)] },
    people,
    bays: 1 + Math.floor(random() * 6),
    minutes: pick([45, 50, 60, 60, 75, 75, 90]),
  })
  return random() < 0.5
    ? b
    : {
        ...b,
        cupboard: {
          listed: true,
          lines: b.cupboard.lines.map((l) => ({ ...l, count: Math.floor(l.count * 0.35) })),
        },
      }
}

const missed = new Map<Question, number>(QUESTIONS.map((q) => [q, 0]))
const missesOf: number[] = []
const worst: string[] = []
const figures: Record<'left' | 'median' | 'least', number[]> = { left: [], median: [], least: [] }
let [refused, broken, allWait, points, ms] = [0, 0, 0, 0, 0]
for (let seed = FIRST; seed < FIRST + COUNT; seed += 1) {
  const b = randomClass(seed)
  const began = performance.now()
  const made = planClass(practice, b)
  ms += performance.now() - began
  if (!made.ok) {
    refused += 1
    continue
  }
  const { plan, found } = made.value
  points += found.outcome.points
  broken += validatePlan(practice, onTheHope(b), plan).length
  if (waitsMost(plan)) worst.push(`${seed} waits`)
  allWait += Number(waitsMost(plan))
  const craft = readCraft(practice, onTheHope(b), plan)
  const at = (q: Question): number => craft.find((c) => c.question === q)?.value ?? 0
  figures.left.push(at('filled'))
  figures.median.push(at('own-work'))
  figures.least.push(at('least-served'))
  for (const { question, held } of craft) if (!held) missed.set(question, (missed.get(question) ?? 0) + 1)
  if (Math.abs(at('filled')) > 180) worst.push(`${seed}: ${(at('filled') / 60).toFixed(0)}`)
  missesOf.push(craft.filter((c) => !c.held).length)
}
if (worst.length > 0) console.log(`minutes left by seed: ${worst.join(', ')}`)
const middle = (of: number[]): number => of.toSorted((a, b) => a - b)[Math.floor(of.length / 2)] ?? 0
console.log(
  `${COUNT} classes: ${refused} refused, ${broken} rules broken, ${allWait} in which more wait than work, mean ${(points / (COUNT - refused)).toFixed(0)} points, ${(ms / COUNT).toFixed(0)} ms each`,
)
console.log(
  `minutes left: median ${(middle(figures.left) / 60).toFixed(1)}, worst ${(Math.max(...figures.left) / 60).toFixed(1)}; own work: median ${(100 * middle(figures.median)).toFixed(0)} %, least served ${(100 * middle(figures.least)).toFixed(0)} % (medians over classes)`,
)
console.log(
  `at most one question missed: ${missesOf.filter((n) => n <= 1).length} of ${missesOf.length}; missed: ${[...missed].map(([q, n]) => `${q} ${n}`).join(', ')}`,
)

function waitsMost(plan: Plan): boolean {
  return plan.blocks
    .filter(isWork)
    .some((block) => block.people.filter((p) => p.variantId === null).length * 2 > block.people.length)
}

const byKind = new Map<string, [number, number, number]>()
if (process.argv[4] === 'kinds') {
  for (let seed = FIRST; seed < FIRST + COUNT; seed += 1) {
    const b = randomClass(seed)
    const made = planClass(practice, b)
    if (!made.ok) continue
    for (const block of made.value.plan.blocks.filter(isWork)) {
      const key = `${block.kind} ${block.waves > 1 ? 'waved' : 'at once'}`
      const [own, all, n] = byKind.get(key) ?? [0, 0, 0]
      const sum = block.people.reduce(
        (t, d) =>
          t +
          (d.variantId === null
            ? 0
            : d.turns * Math.min(block.workS, (d.holdS ?? 4) * d.reps * (d.sides ? 2 : 1))),
        0,
      )
      byKind.set(key, [own + sum / block.people.length, all + block.seconds, n + 1])
    }
  }
  for (const [key, [own, all, n]] of byKind)
    console.log(
      `${key}: ${n} blocks, ${(all / n / 60).toFixed(1)} min each, ${((100 * own) / all).toFixed(0)} % at work`,
    )
}
if (process.argv[4] === 'show')
  for (let seed = FIRST; seed < FIRST + COUNT; seed += 1) {
    const b = randomClass(seed)
    const made = planClass(practice, b)
    if (!made.ok) continue
    console.log(
      `\nseed ${seed}: ${b.people.length} people, ${b.minutes} min, ${b.aim.kind} ${b.aim.families.join('+')}, ${b.room.bays.length} bays`,
    )
    for (const block of made.value.plan.blocks) {
      if (!isWork(block)) {
        console.log(
          `  ${(block.startS / 60).toFixed(1)} ${block.kind} ${(block.seconds / 60).toFixed(1)}  ${block.items.map((i) => `${i.id.replace('DR-', '')} ${i.seconds}`).join(', ')}`,
        )
        continue
      }
      const groups = new Map<string, number>()
      for (const p of block.people) {
        const way = p.climb.map((r) => `${r.variantId}(${r.reps}×${r.holdS ?? 'rep'}) › `).join('')
        const what = `${way}${p.variantId ?? 'waits'}${p.then === null ? '' : ` › ${p.then}?`} ${p.every ? 'every' : `w${p.wave}`} ${p.turns}×(${p.tries ? `${p.tries}t ` : ''}${p.reps}×${p.holdS ?? 'rep'}${p.sides ? ' each side' : ''})`
        groups.set(what, (groups.get(what) ?? 0) + 1)
      }
      console.log(
        `  ${(block.startS / 60).toFixed(1)} ${block.purpose} ${(block.seconds / 60).toFixed(1)}: setup ${block.setupS}, ${block.sets}×${block.waves}×(${block.workS}+${block.gapS})  ${[...groups].map(([what, who]) => `${who}: ${what}`).join(' | ')}`,
      )
    }
  }

if (process.argv[4] === 'named')
  for (let seed = FIRST; seed < FIRST + COUNT; seed += 1) {
    const b = randomClass(seed)
    const made = planClass(practice, b)
    if (!made.ok) continue
    const { who } = readCraft(practice, onTheHope(b), made.value.plan).find(
      (c) => c.question === 'named-pose',
    ) ?? {
      who: [],
    }
    for (const id of who.slice(0, 2)) {
      const p = b.people.find((x) => x.studentId === id)
      const done = made.value.plan.blocks.filter(isWork).map((x) => {
        const d = x.people.find((y) => y.studentId === id)
        return `${x.kind}:${d?.variantId ?? '-'}×${d?.turns}`
      })
      console.log(
        seed,
        who.length,
        'of',
        b.people.length,
        b.minutes,
        'min',
        b.aim.kind,
        b.aim.families.map((f) => `${f} open ${p?.families[f]?.open.join(',')}`).join(' | '),
        '→',
        done.join(' '),
      )
    }
  }
