import { isWork, type Plan } from '../classes/plan'
import type { Library } from '../practice/library'
import type { IfLate, Rehearsal } from '../teaching/rehearse'
import { giveWords } from './late'
import { count, list } from './number'
import { blockTitle, kindOf } from './plan'

/** What two hundred evenings made of a plan, in two sentences: what tends to fall off, and what would save it. */
export function describeEvenings(
  practice: Library,
  { evenings, happened, falls, saves }: Rehearsal,
  nameOf: (studentId: string) => string,
): [string, string] {
  const title = (purpose: string): string => `“${blockTitle(practice, kindOf(purpose), purpose)}”`
  const of100 = (share: number): number => Math.round(share * 100)
  const [first] = falls
  const drawn = `Rehearsed ${evenings} times, up to eight minutes late, one in eight not coming: ${of100(happened)} of 100 turns at people’s own step happen`
  const fell =
    first === undefined
      ? `${drawn}, and nothing tends to be lost.`
      : `${drawn}; what is lost first is ${title(first.purpose)}, in ${of100(first.share)} of 100 evenings${first.people.length === 0 ? '' : `, most for ${list(first.people.map(nameOf))}`}.`
  if (saves === null)
    return [
      fell,
      first === undefined
        ? 'Nothing has to be given up beforehand.'
        : 'Nothing that could be left out beforehand would save much of it.',
    ]
  const by =
    saves.way.kind === 'shorten'
      ? 'Pressing Shorten as soon as Teach offers it'
      : `Leaving out ${title(saves.way.purpose)} from the start`
  return [fell, `${by} makes it ${of100(saves.happened)} of 100; unloading and rest are kept either way.`]
}

/** What goes at three, six and nine minutes late, a line each. */
export function describeIfLate(
  practice: Library,
  { blocks }: Pick<Plan, 'blocks'>,
  all: readonly IfLate[],
): string[] {
  const title = (i: number): string => {
    const block = blocks[i]
    return block ? blockTitle(practice, block.kind, isWork(block) ? block.purpose : '') : ''
  }
  return all.map(({ lateS, gives, leftS }) => {
    const said = gives.map((g) => giveWords(title(g.blockIndex), g))
    const over =
      leftS < 30
        ? ''
        : `${said.length === 0 ? '' : '; '}the class ends ${count(Math.ceil(leftS / 60), 'minute')} later`
    return `${lateS / 60} min late: ${said.join('; ')}${said.length + over.length === 0 ? 'nothing has to give' : over}.`
  })
}
