// How far plans are from the best possible, and how long they take: twenty classes of twelve for 75 minutes as they come, and
// twenty random ones of any kind, limits and locks. `npm run bench -- --planner`
import fc from 'fast-check'
import { improve, searchCount } from '@/core/planning/improve'
import { startsFor } from '@/core/planning/plan-class'
import { shippedPractice } from '@/core/practice/library'
import type { Brief } from '@/core/classes/brief'
import { seeded } from '@/core/random'
import { NO_LIMITS, NOT_ASKED } from '@/core/screening/caps'
import { anyBrief, brief, limited, person } from '@/testing/briefs'
import { WORKED } from '@/testing/worked-class'
import { boundOf } from '@/workers/highs'

const practice = shippedPractice()
const CLASSES = 20
/** States beyond the first plan that the page waits for. */
const AT_ONCE = 1000
type Line = {
  first: number
  shown: number
  best: number
  bound: number
  firstMs: number
  searchMs: number
  boundMs: number
}

const FAMILIES = ['FS', 'HD', 'HS', 'CR'] as const
const OUTCOMES = ['offer', 'once-more', 'near', 'build', 'held'] as const

/** Twelve people of one family, one in five with a limit or never asked, five bays, an hour and a quarter. */
function twelve(seed: number): Brief {
  const random = seeded(seed)
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)] as T
  const family = FAMILIES[seed % FAMILIES.length] ?? 'FS'
  const ladder = practice.stages.filter((s) => s.family === family)
  const people = Array.from({ length: 12 }, (_, i) => {
    const at = Math.floor(random() * Math.min(11, ladder.length - 1))
    const limits =
      random() < 0.8
        ? NO_LIMITS
        : random() < 0.5
          ? NOT_ASKED
          : limited(pick(['WRI-sore', 'BPH-managed', 'NECK-past']))
    return person(i, {
      ...{ family, limits, outcome: pick(OUTCOMES), breathS: pick([4, 5, 6]) },
      ...{ standingId: ladder[at]?.id ?? null, targetId: ladder[at + 1]?.id ?? null },
    })
  })
  return { ...brief({ people, minutes: 75, bays: 5 }), aim: { kind: 'practice', families: [family] } }
}

async function measure(): Promise<void> {
  const usual = Array.from({ length: CLASSES }, (_, i) => twelve(i + 1))
  await table('Twenty classes of twelve, 75 minutes', usual)
  const any = [WORKED, ...fc.sample(anyBrief, { numRuns: 4 * CLASSES, seed: 11 })]
  await table('Twenty of any kind', any.filter((b) => b.people.length >= 5).slice(0, CLASSES))
}

async function table(title: string, briefs: readonly Brief[]): Promise<void> {
  process.stdout.write(`${title}\n`)
  const lines: Line[] = []
  for (const given of briefs) {
    const began = performance.now()
    const started = startsFor(practice, given)
    if (!started.ok) continue
    const { model, starts } = started.value
    const first = starts.find((f) => f.outcome.isLegal)
    const firstMs = performance.now() - began
    const shown = improve(model, starts, AT_ONCE)
    const best = improve(model, starts, searchCount(given.people.length))
    const searchMs = performance.now() - began - firstMs
    const bound = await boundOf(model)
    const boundMs = performance.now() - began - firstMs - searchMs
    if (!first || !shown || !best || bound === null) continue
    lines.push({
      ...{ first: first.outcome.points, shown: shown.outcome.points, best: best.outcome.points, bound },
      ...{ firstMs, searchMs, boundMs },
    })
  }
  const show = (name: string, of: (l: Line) => number, unit: string): void => {
    const sorted = lines.map(of).toSorted((a, b) => a - b)
    const at = (q: number): string => (sorted[Math.floor(q * (sorted.length - 1))] ?? 0).toFixed(1)
    process.stdout.write(`${name.padEnd(44)} median ${at(0.5)} ${unit}, worst ${at(1)} ${unit}\n`)
  }
  const share = (points: (l: Line) => number) => (l: Line) =>
    (100 * (l.bound - points(l))) / Math.max(20, Math.abs(l.bound))
  show(
    'first plan below the bound',
    share((l) => l.first),
    '%',
  )
  show(
    'what the page shows at once, below it',
    share((l) => l.shown),
    '%',
  )
  show(
    'searched plan below the bound',
    share((l) => l.best),
    '%',
  )
  show('searched plan below the bound', (l) => l.bound - l.best, 'points')
  show('first plan', (l) => l.firstMs, 'ms')
  show('whole search', (l) => l.searchMs, 'ms')
  show('bound', (l) => l.boundMs, 'ms')
}

void measure()
