import type { Brief } from '../classes/brief'
import type { Doing, Work } from '../classes/plan'
import type { Library } from '../practice/library'
import { variantName } from './plan'
import { describeTurns, placeName } from './turns'

/** What somebody does once they have answered and nothing applies, beside what they are told until then; empty for null. */
export function describeHope(
  practice: Library,
  hope: Doing | null,
  block: Pick<Work, 'waves'> & Partial<Pick<Work, 'kind'>>,
  room: Brief['room'] | undefined,
): string {
  if (hope?.variantId == null) return ''
  const where = placeName(hope.place, room)
  const name = variantName(practice, hope.variantId)
  return `This until they are asked. If nothing applies: ${name}${where === '' ? '' : `, ${where}`}, ${lowered(describeTurns(hope, block))}`
}

function lowered(text: string): string {
  return text.charAt(0).toLowerCase() + text.slice(1)
}
