import type { Aim } from '../classes/aim'
import type { Apart } from '../classes/apart'
import type { Change } from '../classes/change'
import { WORK_KINDS } from '../classes/fixed'
import type { FileRefusal } from '../classes/plan-file'
import type { BlockKind, PlanWarning } from '../classes/plan'
import type { PlanRefusal } from '../planning/plan-class'
import type { BestMinute } from '../planning/reserve'
import { findById } from '../practice/find'
import { type Library } from '../practice/library'
import { FAMILIES } from '../practice/schema'
import { FAMILY_NAMES } from './family'
import { count, list, percent } from './number'
import { stageName } from './reason'

/** A block in a word, for a ribbon. */
export const PART_WORD: Record<BlockKind, string> = {
  arrive: 'Arrive',
  settle: 'Settle',
  'warm-up': 'Warm up',
  skill: 'Skill',
  support: 'Also',
  'way-out': 'Way out',
  peak: 'In turns',
  stay: 'Stay',
  train: 'Strength',
  ease: 'Ease',
  // Parted where a narrow ribbon has to break it.
  counterpose: 'Counter\u00ADposes',
  rest: 'Rest',
  close: 'Close',
}

/** What the whole class does in parts that need no more words. */
export const PART_DO: Partial<Record<BlockKind, string>> = {
  arrive: 'Door, props, where things are; the way out said once.',
  rest: 'Lie down; nothing to do. Rise by the side.',
  close: 'Eyes, ears, neck, wrists, mood: anything? Thanks; props back in counted sets.',
}

/** A block's heading: what it is for. */
export function blockTitle(practice: Library, kind: BlockKind, purpose = ''): string {
  const of = purpose.split(':')[1] ?? ''
  switch (kind) {
    case 'skill':
    case 'support':
      return `${familyWord(of)}, everyone’s version`
    case 'peak':
      return `${list(of.split('+').map(familyWord))}, in turns`
    case 'stay':
      return `${familyWord(of)}: built once, stayed in`
    case 'train':
      return `Strength: ${practice.capabilities.find((c) => c.id === of)?.name.toLowerCase() ?? 'all round'}`
    case 'ease':
      return 'A shape to stay in'
    case 'way-out':
      return 'The way out, low first'
    case 'warm-up':
      return 'Warm up for what comes'
    case 'counterpose':
      return 'Counterposes'
    default:
      return PART_WORD[kind]
  }
}

function purposeWord(purpose: string): string {
  const of = purpose.split(':')[1] ?? ''
  return list(of.split('+').map(familyWord)).toLowerCase()
}

function familyWord(code: string): string {
  const family = FAMILIES.find((f) => f === code)
  return family ? FAMILY_NAMES[family] : 'Practice'
}

/** What a class is for, in a line. */
export function describeAim({ kind, families }: Aim): string {
  const named = list(families.map((f) => FAMILY_NAMES[f]))
  switch (kind) {
    case 'practice':
      return named
    case 'strength':
      return `Strength for ${named.toLowerCase()}`
    case 'restorative':
      return 'Restorative'
    case 'workshop':
      return `${named}, workshop`
  }
}

/** A plan that cannot be made, and the cheapest way out. */
export function describePlanRefusal(refusal: PlanRefusal): string {
  switch (refusal.code) {
    case 'nobody':
      return 'Nobody is left to plan for: pick at least one person who comes.'
    case 'minutes-out-of-range':
      return `A class lasts ${refusal.min} to ${refusal.max} minutes.`
    case 'no-minutes-left':
      return `Arriving, warming up, counterposes and rest leave no time for work: ${Math.max(1, Math.ceil(refusal.shortS / 60))} minutes more, or what was fixed made shorter.`
    case 'does-not-fit':
      return `This does not fit: in the block for ${purposeWord(refusal.purpose)} ${refusal.waiting} of ${refusal.people} would only wait. Fewer people, more minutes, more wall or props, or another pose.`
  }
}

/** How a limit changes what somebody does; empty where nothing does. It never says why. */
export function describeChange(change: Change | null): string {
  if (!change) return ''
  const { mostSeconds, share, words } = change
  return [
    ...(mostSeconds === null ? [] : [`${mostSeconds} s at most.`]),
    ...(share < 1 && words.length === 0 ? [`${Math.round(share * 100)} % of the repetitions.`] : []),
    ...words,
  ].join(' ')
}

/**
 * Who does something else while the class does a warm-up or counterpose, or does it changed, one line for all who do the
 * same; it never says why.
 */
export function describeApart(
  practice: Library,
  apart: readonly Apart[],
  nameOf: (studentId: string) => string,
): string[] {
  const told = apart.map((a) => ({ name: nameOf(a.studentId), does: doesApart(practice, a) }))
  return [...new Set(told.map(({ does }) => does))].map((does) => {
    const who = told.filter((one) => one.does === does).map(({ name }) => name)
    return `${list(who)}: ${does}`
  })
}

function doesApart(practice: Library, { drillId, joins, change }: Apart): string {
  const how = describeChange(change)
  if (joins) return `${how.charAt(0).toLowerCase()}${how.slice(1)}`
  if (drillId === null) return 'rest meanwhile.'
  return [`${findById(practice.drills, drillId).name} instead.`, how].filter((part) => part !== '').join(' ')
}

/** Where nothing at all is open to somebody: they belong to the class all the same. */
export const NOTHING_OPEN = 'Rest on your side, breathe with the group; watching counts.'

/** The name of what is taught: a stage, a drill, a counterpose. */
export function variantName(practice: Library, id: string): string {
  const drill = practice.drills.find((d) => d.id === id) ?? practice.counterposes.find((c) => c.id === id)
  return drill?.name ?? stageName(practice, id)
}

/** What to settle before class. */
export function describePlanWarning(
  warning: PlanWarning,
  practice: Library,
  nameOf: (studentId: string) => string,
): string {
  switch (warning.code) {
    case 'not-asked':
      return `${count(warning.people, 'person was', 'people were')} never asked about health: on the floor, and nothing upside down, until then. What they would do once asked stands beside it where it is something else; wall, props and eyes are counted for both.`
    case 'unknown':
      return `${count(warning.people, 'person is', 'people are')} new to you: they get the gentle track until you place or check them.`
    case 'waits':
      return `${nameOf(warning.studentId)} has no version open in “${blockTitle(practice, kindOf(warning.purpose), warning.purpose)}”: rest, watching or holding props.`
    case 'many-for-eyes':
      return `${warning.people} people are many to watch: above ${warning.most} only a few at a time work at their own step, the others lie, rest or do floor work that needs no watching. With another assistant more of them do; so they do in two shorter classes.`
    case 'minutes-left':
      return `${Math.round(warning.seconds / 60)} minutes are left over: a longer rest, or something of your own.`
    case 'warm-up-trimmed':
      return `Warm-up shortened to a third of the class: ${Math.round(warning.givenS / 60)} of ${Math.round(warning.wantedS / 60)} minutes.`
    case 'cupboard-not-listed':
      return 'The cupboard is not listed yet: the usual one is counted on. Count it before you fetch.'
    case 'no-wall':
      return 'No wall bay is drawn: what needs a wall is left out.'
    case 'no-mat':
      return `${count(warning.people, 'person', 'people')} without a mat place in the room as it is drawn.`
    case 'lock-gave-way':
      return `${nameOf(warning.studentId)}: ${variantName(practice, warning.variantId)} could not be kept as you fixed it; it is closed that day, or room, props or eyes do not allow it.`
    case 'fixed-gave-way':
      return `“${blockTitle(practice, kindOf(warning.purpose), warning.purpose)}” could not be kept as long as you fixed it.`
  }
}

/** The kind of block that a purpose is of. */
export function kindOf(purpose: string): BlockKind {
  const kind = purpose.split(':')[0]
  return WORK_KINDS.find((k) => k === kind) ?? 'skill'
}

/** Why a plan's file is not taken. */
export function describeFileRefusal(refusal: FileRefusal): string {
  switch (refusal.code) {
    case 'no-json':
      return 'That file cannot be read: it is not a plan written by “Plan as a file”.'
    case 'no-plan-file':
      return 'That file is no plan of a class, or a release newer than this one wrote it.'
    case 'unknown-ids':
      return `That plan names ${count(refusal.ids.length, 'thing')} that this practice does not have.`
    case 'not-on-the-list':
      return `That plan is for ${count(refusal.people, 'person', 'people')} not on the list of this class: put them on it first.`
  }
}

/** A share of fresh that makes no difference that anybody feels. */
const SAME_FRESH = 0.03

/** When arms are best for first tries, beside when they come; empty where nothing is tried. */
export function describeBestMinute(best: BestMinute | null): string {
  if (best === null) return ''
  const { beginsS, fresh, bestS, bestFresh } = best
  const at = (seconds: number): string => `${Math.floor(seconds / 60)} min`
  const now = `First tries begin at ${at(beginsS)} with arms ${percent(fresh)} fresh`
  return bestFresh - fresh < SAME_FRESH
    ? `${now}: as good as any minute of this hour.`
    : `${now}; they are freshest at ${at(bestS)}, ${percent(bestFresh)}.`
}
