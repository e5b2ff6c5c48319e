import type { Brief, BriefPerson } from '../classes/brief'
import { changeOn, type Change } from '../classes/change'
import type { OverrideReason } from '../classes/override'
import { leastSeconds } from '../practice/dose'
import type { Known } from './known'
import { piecesFor, piecesOf } from './pieces'
import type { Purpose } from './purposes'
import { turnOf, type Turn, type Variant } from './variants'

/** What somebody may do in a block, with what it asks of the room and what it is worth to them. */
export type Option = Turn & {
  /** Which variant, by its place in the model. */
  readonly v: number
  /** How well it fits: 1 the stage they work at, less the further from it. */
  readonly fit: number
  /** Price of standing outside the purpose though something of it is open. */
  readonly outside: number
  /** A first kick: a helper stands beside, and it takes more of an eye. */
  readonly first: boolean
  readonly helper: boolean
  readonly points: number
  /** Bays that will do, as bits; 0 where it needs none. */
  readonly bays: number
  readonly openFloor: boolean
  readonly mostTurns: number
  /** Tries in the whole class that their caps leave while they do this. */
  readonly mostTries: number
  readonly change: Change | null
  readonly override: OverrideReason | null
  readonly inPlace: boolean
  /** Price of having done it in the last classes. */
  readonly again: number
}

/** Whose option in which block. */
export type Asked = { readonly brief: Brief; readonly known: Known; readonly purpose: Purpose }

/** Seconds at work in a turn of each kind of block. */
const WORK_S: Readonly<Record<Purpose['kind'], number>> = {
  skill: 40,
  support: 40,
  peak: 60,
  train: 40,
  stay: 420,
  ease: 540,
}

const GENTLE_FIT = 0.3
const FIRST_POINTS = 4
const STRAIGHT_CM = 120

/** A variant for somebody with its room, helper, hold and turns; null where a hard rule leaves no way. */
export function optionOf(
  { brief, known, purpose }: Asked,
  variant: Variant,
  v: number,
  fit: number,
): Option | null {
  const { person, held } = known
  const first = variant.kick && !held.has(variant.id)
  const helper = first || variant.helped
  const outside = variant.tries > 0 && purpose.kind !== 'peak' && !(purpose.kind === 'stay' && variant.stays)
  if (outside) return null
  const change = changeFor(known, variant)
  const mostTurns = turnsPlanned(person, variant, change)
  if (mostTurns < 1 || (helper && person.touch === 'no') || !hasRoom(brief, person, variant)) return null
  const workS = WORK_S[purpose.kind]
  const turn = ownTurn(person, variant, change, workS)
  const gentle = variant.gentle && purpose.kind !== 'ease' && purpose.kind !== 'stay'
  return {
    ...turn,
    ...{ v, outside: 0, first, helper, mostTurns, change, inPlace: false },
    mostTries: triesLeft(person, variant, change),
    fit: (gentle ? Math.min(fit, GENTLE_FIT) : fit) * wholeOf(variant, turn.holdS, change),
    points: first ? FIRST_POINTS : variant.points,
    bays: atWall(variant) ? baysFor(brief, variant) : 0,
    openFloor: variant.stands === 'open',
    override: lookedAt(known, variant),
    again: againOf(known, variant),
  }
}

/** One turn of theirs: what grew, what limits leave, the side that is behind once more where nothing limits it. */
export function ownTurn(person: BriefPerson, variant: Variant, change: Change | null, workS: number): Turn {
  return turnOf(variant, {
    breathS: person.breathS,
    mostSeconds: change?.mostSeconds ?? null,
    grownS: person.grown[variant.id] ?? 0,
    share: change?.share ?? 1,
    workS,
    more: change === null && person.weaker[variant.id] !== undefined,
  })
}

function changeFor({ person, changes }: Known, variant: Variant): Change | null {
  const before = changes.get(variant.id)
  if (before !== undefined) return before
  const change = changeOn(variant, { caps: person.limits })
  changes.set(variant.id, change)
  return change
}

function atWall({ stands }: Variant): boolean {
  return stands === 'wall' || stands === 'corner'
}

function hasRoom(brief: Brief, person: BriefPerson, variant: Variant): boolean {
  if (atWall(variant) && baysFor(brief, variant) === 0) return false
  if (variant.stands === 'open' && brief.room.open < 1) return false
  const pieces = piecesOf(brief)
  return piecesFor(pieces, variant, person).every(({ kind, count }) => (pieces[kind] ?? 0) >= count)
}

/** Bays that are wide enough: a straight line goes into any that the teacher drew, a straddle wants its two metres. */
function baysFor({ room }: Brief, { widthCm, stands }: Variant): number {
  return room.bays.reduce(
    (mask, bay, i) =>
      (widthCm <= STRAIGHT_CM || bay.widthCm >= widthCm) && (stands !== 'corner' || bay.corner)
        ? mask | (1 << i)
        : mask,
    0,
  )
}

/** Turns that the caps of attempts leave, their own, the stage's and what a limit leaves of them. */
export function turnsLeft(
  person: Pick<BriefPerson, 'mostAttempts'>,
  { tries, cap }: Variant,
  change: Change | null,
): number {
  return tries === 0 ? Infinity : Math.floor(triesLeft(person, { cap }, change) / tries)
}

/** Tries in the class under the caps of attempts and what a limit leaves of them. */
function triesLeft(
  { mostAttempts }: Pick<BriefPerson, 'mostAttempts'>,
  { cap }: Pick<Variant, 'cap'>,
  change: Change | null,
): number {
  return Math.floor(Math.min(mostAttempts, cap) * (change?.share ?? 1))
}

/** Turns to plan: where in the hour a block will stand is not known yet, so what is open only late is not planned at all. */
function turnsPlanned(person: BriefPerson, variant: Variant, change: Change | null): number {
  return change?.notBefore === undefined ? turnsLeft(person, variant, change) : 0
}

/** A hold that the turn cuts below what it is done for is worth so much less; what a limit cuts is not held against it. */
function wholeOf({ dose }: Variant, holdS: number | null, change: Change | null): number {
  const least = Math.min(leastSeconds(dose), change?.mostSeconds ?? Infinity)
  return holdS === null || least === 0 ? 1 : Math.min(1, holdS / least)
}

/** The reason for which the teacher lets somebody go above what is recorded, on the stage it was given for. */
function lookedAt({ person }: Known, { id, family }: Variant): OverrideReason | null {
  const reach = family === null ? undefined : person.families[family]
  return reach?.targetId === id && reach.looked?.answer === 'override' ? reach.looked.reason : null
}

function againOf({ person: { recent } }: Known, { id }: Variant): number {
  if (recent[0]?.includes(id)) return 1
  return recent[1]?.includes(id) ? 0.5 : 0
}
