import { doingsOf, isWork, type Plan, type PlanBlock, type Work } from '../classes/plan'
import { OWN_WORK } from '../planning/weights'
import { normal, seeded, type Random } from '../random'
import { catchUp } from './catch-up'

/** How often an hour is rehearsed. */
const EVENINGS = 200

/** What happens to evenings (hour.md 4): a start up to so late, one in so many missing, blocks spread round their minutes. */
const LATE_MOST_S = 480
const MISSING = 1 / 8
const SPREAD = 0.2
/** Somebody whom nobody had on the list is let in, s. */
const GUEST_S = 60
/** A word to whoever is not yet clean holds the change of turns up by so much, s. */
const WORD_S = 5
/** How often a turn is not yet clean where no record says so, and how many tries that is worth. */
const [USUAL_NOT_YET, USUAL_TRIES] = [0.3, 5] as const
/** Lateness at which a teacher shortens, s: the floor screen offers it from here too. */
const SHORTEN_FROM_S = 120
/** Rest is never given up, s; nor is half of what was planned to unload. */
const LEAST_REST_S = 300

/** How often a turn of somebody's is not yet clean, from their last tries; few tries say little. */
export function notYetRate(clean: readonly boolean[]): number {
  const not = clean.filter((c) => !c).length
  return (not + USUAL_NOT_YET * USUAL_TRIES) / (clean.length + USUAL_TRIES)
}

/** One evening as it was drawn: the same for every way of meeting it. */
type Evening = {
  readonly lateS: number
  readonly missing: ReadonlySet<string>
  /** By block: how much longer or shorter it was than planned, and how many words it took. */
  readonly pace: readonly number[]
  readonly notYet: Random
}

/** How the hour is met when it runs late. */
type Way =
  | { readonly kind: 'as-it-comes' }
  | { readonly kind: 'shorten' }
  | { readonly kind: 'without'; readonly purpose: string }

/** A block that falls off or is cut, in what share of evenings, and who loses most turns of theirs by it. */
export type Falls = { readonly purpose: string; readonly share: number; readonly people: readonly string[] }

/** What two hundred evenings made of a plan. */
export type Rehearsal = {
  readonly evenings: number
  /** Share of turns at one's own step that happened, of those who came. */
  readonly happened: number
  /** What fell off most, first; empty where nothing did in more than one evening of twenty. */
  readonly falls: readonly Falls[]
  /** What would save most, with the share of turns then; null where nothing saves two in a hundred. */
  readonly saves: { readonly way: Exclude<Way, { kind: 'as-it-comes' }>; readonly happened: number } | null
}

type Kept = { readonly block: Work; readonly done: number }

/**
 * Replays a plan: late starts, people who do not come, blocks that take longer or shorter, a word to whoever is not yet
 * clean. What no longer fits before unloading and rest falls off. The same plan gives the same answer.
 * @param plan as it holds
 * @param notYet by person: how often a turn of theirs is not yet clean
 */
export function rehearse(
  plan: Pick<Plan, 'minutes' | 'blocks'>,
  notYet: Readonly<Record<string, number>> = {},
  evenings = EVENINGS,
): Rehearsal {
  const drawn = (i: number): Evening => eveningOf(plan, seeded(1000 + i))
  const met = (
    way: Way,
  ): { happened: number; lost: Map<string, { evenings: number; people: Map<string, number> }> } => {
    let [all, done] = [0, 0]
    const lost = new Map<string, { evenings: number; people: Map<string, number> }>()
    for (let i = 0; i < evenings; i += 1) {
      const evening = drawn(i)
      for (const { block, done: sets } of replay(plan, evening, way, notYet)) {
        const people = block.people.filter((d) => d.variantId !== null && !evening.missing.has(d.studentId))
        const own = OWN_WORK.has(block.kind)
        const short = lost.get(block.purpose) ?? { evenings: 0, people: new Map<string, number>() }
        if (sets < block.sets) short.evenings += 1
        for (const { studentId, turns } of people) {
          const had = Math.min(turns, sets)
          if (own) [all, done] = [all + turns, done + had]
          if (had < turns) short.people.set(studentId, (short.people.get(studentId) ?? 0) + turns - had)
        }
        lost.set(block.purpose, short)
      }
    }
    return { happened: all === 0 ? 1 : done / all, lost }
  }
  const asItComes = met({ kind: 'as-it-comes' })
  const ways: Exclude<Way, { kind: 'as-it-comes' }>[] = [
    { kind: 'shorten' },
    ...plan.blocks
      .filter(isWork)
      .filter((b) => b.kind === 'train')
      .map(({ purpose }) => ({ kind: 'without' as const, purpose })),
  ]
  const tried = ways.map((way) => ({ way, happened: met(way).happened }))
  const best = tried.reduce<(typeof tried)[number] | null>(
    (a, b) => (a === null || b.happened > a.happened + 0.01 ? b : a),
    null,
  )
  return {
    evenings,
    happened: asItComes.happened,
    falls: [...asItComes.lost]
      .map(([purpose, { evenings: n, people }]) => ({
        purpose,
        share: n / evenings,
        people: [...people]
          .sort((a, b) => b[1] - a[1] || (a[0] < b[0] ? -1 : 1))
          .slice(0, 3)
          .map(([id]) => id),
      }))
      .filter(({ share }) => share > 0.05)
      .sort((a, b) => b.share - a.share),
    saves: best && best.happened >= asItComes.happened + 0.02 ? best : null,
  }
}

function eveningOf({ blocks }: Pick<Plan, 'blocks'>, random: Random): Evening {
  const lateS = random() * LATE_MOST_S
  const ids = [...new Set(blocks.flatMap(doingsOf).map((d) => d.studentId))]
  const missing = new Set(ids.filter(() => random() < MISSING))
  return {
    lateS: lateS + GUEST_S,
    missing,
    pace: blocks.map(() => Math.exp(normal(random, -(SPREAD ** 2) / 2, SPREAD))),
    notYet: random,
  }
}

/** What of every working block happened: so many sets of it, before unloading and rest have to begin. */
function replay(
  plan: Pick<Plan, 'minutes' | 'blocks'>,
  { lateS, missing, pace, notYet }: Evening,
  way: Way,
  rates: Readonly<Record<string, number>>,
): Kept[] {
  const kept: Kept[] = []
  let blocks: readonly PlanBlock[] =
    way.kind === 'without'
      ? plan.blocks.map((b) => (isWork(b) && b.purpose === way.purpose ? { ...b, seconds: 0 } : b))
      : plan.blocks
  const endS = plan.minutes * 60 - leastAfter(plan.blocks)
  let at = lateS
  plan.blocks.forEach((planned, i) => {
    const toCome = blocks.slice(i).reduce((sum, b) => sum + b.seconds, 0)
    const late = at + toCome - plan.minutes * 60
    if (way.kind === 'shorten' && late > SHORTEN_FROM_S)
      blocks = catchUp({ minutes: plan.minutes, blocks }, i - 1, late).plan.blocks
    const block = blocks[i] ?? planned
    const factor = pace[i] ?? 1
    if (!isWork(planned) || !isWork(block)) {
      at += block.seconds * (block.kind === 'rest' ? 1 : factor)
      return
    }
    if (block.seconds === 0) {
      kept.push({ block: planned, done: 0 })
      return
    }
    at += block.setupS * factor
    let done = 0
    while (done < block.sets) {
      const words = block.people.filter(
        (d) =>
          d.variantId !== null &&
          d.turns > done &&
          !missing.has(d.studentId) &&
          notYet() < (rates[d.studentId] ?? USUAL_NOT_YET),
      ).length
      const setS =
        block.waves * (block.workS + block.gapS) * factor + (words * WORD_S) / Math.max(1, block.waves)
      if (at + setS > endS) break
      at += setS
      done += 1
    }
    kept.push({ block: planned, done })
  })
  return kept
}

/** What stands after the work and is kept: half the unloading, five minutes of rest or what there is, the close. */
function leastAfter(blocks: readonly PlanBlock[]): number {
  return blocks.reduce((sum, b) => {
    if (b.kind === 'counterpose') return sum + b.seconds / 2
    if (b.kind === 'rest') return sum + Math.min(LEAST_REST_S, b.seconds)
    return b.kind === 'close' ? sum + b.seconds : sum
  }, 0)
}

/** What a class gives up when it is so late once it begins, in the order in which things give. */
export type IfLate = {
  readonly lateS: number
  readonly gives: ReturnType<typeof catchUp>['gives']
  readonly leftS: number
}

/** What goes at three, six and nine minutes late: known beforehand, so that nobody has to decide it on the floor. */
export function ifLate({ minutes, blocks }: Pick<Plan, 'minutes' | 'blocks'>): IfLate[] {
  const spareS = minutes * 60 - blocks.reduce((sum, b) => sum + b.seconds, 0)
  return [180, 360, 540].map((lateS) => {
    const { gives, leftS } = catchUp({ minutes, blocks }, 0, Math.max(0, lateS - spareS))
    return { lateS, gives, leftS }
  })
}
