import { z } from 'zod'
import { NOTHING_FIXED, type Fixed } from './fixed'
import { isWork, type Plan } from './plan'

/** One change of a class by hand. */
export const editSchema = z.discriminatedUnion('kind', [
  /** A set more or less of a block. */
  z.object({ kind: z.literal('length'), purpose: z.string().max(40), more: z.boolean() }),
  /** A block to another place among those in which people work, counted from 0. */
  z.object({ kind: z.literal('move'), purpose: z.string().max(40), to: z.number().int().min(0).max(20) }),
  /** A drill or counterpose in the place of another. */
  z.object({ kind: z.literal('swap'), from: z.string().max(40), to: z.string().max(40) }),
  /** What strength is for. */
  z.object({ kind: z.literal('train'), purposes: z.array(z.string().max(4)).max(2) }),
  /** Somebody is not coming, or is after all. */
  z.object({ kind: z.literal('out'), studentId: z.string().max(64), out: z.boolean() }),
  z.object({ kind: z.literal('add'), studentId: z.string().max(64) }),
  /** Everything given back to the planner. */
  z.object({ kind: z.literal('free') }),
])
export type Edit = z.output<typeof editSchema>

/** What is fixed after a change. */
export function withEdit(fixed: Fixed, edit: Edit, plan: Plan): Fixed {
  const works = plan.blocks.filter(isWork)
  switch (edit.kind) {
    case 'length': {
      const block = works.find((b) => b.purpose === edit.purpose)
      if (!block) return fixed
      const sets = Math.max(1, block.sets + (edit.more ? 1 : -1))
      return { ...fixed, lengths: { ...fixed.lengths, [edit.purpose]: { sets, waves: block.waves } } }
    }
    case 'move': {
      const order = works.map((b) => b.purpose)
      const at = order.indexOf(edit.purpose)
      if (at < 0 || edit.to >= order.length) return fixed
      order.splice(edit.to, 0, ...order.splice(at, 1))
      return { ...fixed, order }
    }
    case 'swap': {
      const origin = Object.keys(fixed.swaps).find((from) => fixed.swaps[from] === edit.from) ?? edit.from
      return { ...fixed, swaps: { ...fixed.swaps, [origin]: edit.to } }
    }
    case 'train':
      return { ...fixed, train: edit.purposes }
    case 'out': {
      const others = fixed.out.filter((id) => id !== edit.studentId)
      return { ...fixed, out: edit.out ? [...others, edit.studentId] : others }
    }
    case 'free':
      return { ...NOTHING_FIXED, out: fixed.out }
    case 'add':
      return fixed
  }
}

/** What is fixed in another class that shall run as this one did: its blocks, their lengths, order and drills; nobody stays away. */
export function asTemplate(fixed: Fixed, plan: Plan): Fixed {
  return { ...keepingBlocks(fixed, plan), order: plan.blocks.filter(isWork).map((b) => b.purpose), out: [] }
}

/** The same with every block of a plan fixed in its length and purpose. */
export function keepingBlocks(fixed: Fixed, plan: Plan): Fixed {
  const works = plan.blocks.filter(isWork)
  const trained = works.flatMap((b) => (b.kind === 'train' ? [b.purpose.split(':')[1] ?? ''] : []))
  return {
    ...fixed,
    lengths: Object.fromEntries(works.map(({ purpose, sets, waves }) => [purpose, { sets, waves }])),
    train: trained.length === 0 ? fixed.train : trained.slice(0, 2),
  }
}
