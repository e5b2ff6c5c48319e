import type { ContactPart } from './contacts'
import type { Position } from './position'

/** Body weight by what carries it, as shares that sum to one where nothing pushes down but weight. */
export type Carried = {
  readonly arms: number
  /** Head, neck, shoulders and upper back: what a raised body rests on besides the arms. */
  readonly head: number
  readonly rest: number
}

const ARMS: readonly ContactPart[] = ['hands', 'forearms']
const HEAD: readonly ContactPart[] = ['crown', 'shoulders', 'upperBack']

/** What the arms, the head end and everything else carry, at the working figure. */
export function carriedBy({ contacts }: Pick<Position, 'contacts'>): Carried {
  const sum = (is: (part: ContactPart) => boolean): number =>
    contacts.reduce((all, { part, share }) => (is(part) ? all + Math.max(0, share.value) : all), 0)
  return {
    arms: sum((part) => ARMS.includes(part)),
    head: sum((part) => HEAD.includes(part)),
    rest: sum((part) => !ARMS.includes(part) && !HEAD.includes(part)),
  }
}
