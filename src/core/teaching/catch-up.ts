import { isWork, type PlanBlock, type Work } from '../classes/plan'
import { afterEvent, blockClock, foldRun, inOrder, type ClassEvent, type Run } from '../classes/run'
import type { TimedPlan } from './class-run'

/** What a block gives up so that the class ends in time, s. */
export type Give = { readonly blockIndex: number; readonly fromS: number; readonly toS: number }

/** Rest is never shorter than this, s (class-craft.md 3). */
const LEAST_REST_S = 300
/** A counterpose is never shorter than this, s. */
const LEAST_ITEM_S = 30

/** How far behind a class is: what it has used and what is still to come, beyond its minutes, s; below nought it has time. */
export function lateBy(plan: TimedPlan, run: Run, nowMs: number): number {
  const block = plan.blocks[run.blockIndex]
  if (run.state !== 'running' || !block) return 0
  const { elapsedS, extraS } = blockClock(run, nowMs)
  const usedS = (nowMs - run.startedMs) / 1000
  const leftHere = Math.max(0, block.seconds - elapsedS) + extraS
  const toCome = plan.blocks.slice(run.blockIndex + 1).reduce((sum, b) => sum + b.seconds, 0)
  return usedS + leftHere + toCome - plan.minutes * 60
}

/**
 * Cuts what is still to come: strength gives first, then what goes beside, then turns at the wall, and last the rest and
 * counterposes, which keep their least. A block that gives everything has no seconds left and is passed over.
 */
export function catchUp(
  plan: TimedPlan,
  blockIndex: number,
  lateS: number,
): { plan: TimedPlan; gives: Give[]; leftS: number } {
  const blocks = [...plan.blocks]
  let owed = lateS
  const cut = (i: number, to: PlanBlock | undefined): void => {
    const now = blocks[i]
    if (!now || !to || to.seconds >= now.seconds) return
    owed -= now.seconds - to.seconds
    blocks[i] = to
  }
  for (const step of STEPS)
    for (let i = blocks.length - 1; i > blockIndex && owed > 0; i -= 1) {
      const block = blocks[i]
      if (block && block.seconds > 0) cut(i, step(block, owed))
    }
  const gives = blocks.flatMap((b, i): Give[] => {
    const was = plan.blocks[i]
    return was && was.seconds !== b.seconds ? [{ blockIndex: i, fromS: was.seconds, toS: b.seconds }] : []
  })
  return { plan: { ...plan, blocks }, gives, leftS: Math.max(0, owed) }
}

type Step = (block: PlanBlock, owedS: number) => PlanBlock | undefined

const STEPS: readonly Step[] = [
  (block, owed) => (block.kind === 'train' ? fewerSets(block, 1, owed) : undefined),
  (block) => (block.kind === 'train' ? { ...block, seconds: 0 } : undefined),
  (block, owed) => (block.kind === 'support' ? fewerSets(block, 1, owed) : undefined),
  (block, owed) => (block.kind === 'peak' ? fewerSets(block, 2, owed) : undefined),
  (block, owed) => (block.kind === 'peak' || block.kind === 'skill' ? fewerSets(block, 1, owed) : undefined),
  (block, owed) => (block.kind === 'stay' ? shorterStay(block, owed) : undefined),
  (block, owed) =>
    block.kind === 'rest' ? { ...block, seconds: Math.max(LEAST_REST_S, block.seconds - owed) } : undefined,
  (block) => (block.kind === 'counterpose' ? shorterItems(block) : undefined),
]

/** Nobody is up for less where everybody stays in something, s. */
const LEAST_STAY_S = 90

/** Everybody comes out a little sooner; what was built stands anyhow. */
function shorterStay(block: PlanBlock, owedS: number): Work | undefined {
  if (!isWork(block)) return undefined
  const each = Math.min(Math.ceil(owedS / block.waves / 5) * 5, Math.max(0, block.workS - LEAST_STAY_S))
  if (each === 0) return undefined
  const workS = block.workS - each
  return {
    ...block,
    workS,
    seconds: block.seconds - each * block.waves,
    people: block.people.map((p) => ({ ...p, holdS: p.holdS === null ? null : Math.min(p.holdS, workS) })),
  }
}

/** As many sets as still fit, and no fewer than the least. */
function fewerSets(block: PlanBlock, least: number, owedS: number): Work | undefined {
  if (!isWork(block)) return undefined
  const setS = block.waves * (block.workS + block.gapS)
  const sets = Math.max(least, block.sets - Math.ceil(owedS / setS))
  if (sets >= block.sets) return undefined
  return {
    ...block,
    sets,
    seconds: block.seconds - (block.sets - sets) * setS,
    people: block.people.map((p) => ({ ...p, turns: Math.min(p.turns, sets) })),
  }
}

function shorterItems(block: PlanBlock): PlanBlock | undefined {
  if (isWork(block)) return undefined
  const items = block.items.map((item) => ({ ...item, seconds: Math.min(item.seconds, LEAST_ITEM_S) }))
  const saved = block.items.reduce((sum, item, i) => sum + item.seconds - (items[i]?.seconds ?? 0), 0)
  return { ...block, items, seconds: block.seconds - saved }
}

/** A class as it runs: where it stands, and the plan with what was cut from it on the way. */
export function runThrough(
  plan: TimedPlan,
  events: readonly ClassEvent[],
): { run: Run; plan: TimedPlan; gives: Give[] } {
  let run = foldRun([])
  let now = plan
  const gives: Give[] = []
  for (const event of inOrder(events)) {
    run = afterEvent(run, event)
    if (event.event !== 'late') continue
    const cut = catchUp(now, run.blockIndex, lateBy(now, run, event.atMs))
    now = cut.plan
    gives.push(...cut.gives)
  }
  return { run, plan: now, gives }
}
