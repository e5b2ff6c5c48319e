// How far plans are from the best possible, and how long they take: twenty random classes. `npm run bench -- --planner`
import fc from 'fast-check'
import { improve, searchCount } from '@/core/planning/improve'
import { startsFor } from '@/core/planning/plan-class'
import { shippedPractice } from '@/core/practice/library'
import { anyBrief } from '@/testing/briefs'
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

async function measure(): Promise<void> {
  const briefs = [WORKED, ...fc.sample(anyBrief, { numRuns: 4 * CLASSES, seed: 11 })].filter(
    (b) => b.people.length >= 5,
  )
  const lines: Line[] = []
  for (const brief of briefs.slice(0, CLASSES)) {
    const began = performance.now()
    const started = startsFor(practice, brief)
    if (!started.ok) continue
    const { model, starts } = started.value
    const first = starts.find((f) => f.outcome.isLegal)
    const firstMs = performance.now() - began
    const shown = improve(model, starts, AT_ONCE)
    const best = improve(model, starts, searchCount(brief.people.length))
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
