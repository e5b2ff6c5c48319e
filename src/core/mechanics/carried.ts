import type { Contact, ContactPart } from './contacts'
import { isArmContact } from './moments'
import type { Position } from './position'

/** Body weight by what carries it, as shares that sum to one where nothing pushes down but weight. */
export type Carried = {
  readonly arms: number
  /** Head, neck, shoulders and upper back: what a raised body rests on besides the arms. */
  readonly head: number
  readonly rest: number
}

const HEAD: readonly ContactPart[] = ['crown', 'shoulders', 'upperBack']

/** What the arms, the head end and everything else carry, at the working figure. */
export function carriedBy({ contacts }: Pick<Position, 'contacts'>): Carried {
  const sum = (is: (contact: Contact) => boolean): number =>
    contacts.reduce((all, contact) => (is(contact) ? all + Math.max(0, contact.share.value) : all), 0)
  const onHead = ({ part }: Contact): boolean => HEAD.includes(part)
  return {
    arms: sum(isArmContact),
    head: sum(onHead),
    rest: sum((contact) => !isArmContact(contact) && !onHead(contact)),
  }
}
