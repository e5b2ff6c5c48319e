import type { Point } from './point'
import type { Contact, ContactPart, LoadRange, Patch, PatchGroup, Supports } from './contacts'

/** Slack for "the plumb line lies on the edge": rounding must not tip a body over. cm and shares. */
const EDGE = 1e-9

export type Carried = { readonly contacts: readonly Contact[]; readonly balanced: boolean }

/**
 * Loads on every contact of a body at rest. The working figure takes each pressure where its patch says; the range is
 * exact: every split of load over the patches, the wall's push and its friction cone that keeps the body at rest.
 * Where no split does, the plumb line lies outside the base: `balanced` is false and the figures are those of a body
 * that something else holds there.
 * @param centre centre of mass, cm
 */
export function carry(centre: Point, supports: Supports): Carried {
  const nominal = workingFigure(centre, supports, supports.pressed?.value ?? 0)
  // Ranges begin from hands that press straight down: how they press along the floor is added to every corner.
  const down = supports.pressed ? workingFigure(centre, supports, 0) : nominal
  const ranged = gripped(supports, withRanges(centre, supports, down.contacts, nominal.balanced))
  return {
    contacts: ranged.map((contact, i) => {
      const { share, horizontalShare } = nominal.contacts[i] ?? {
        share: contact.share.value,
        horizontalShare: contact.horizontalShare.value,
      }
      return {
        ...contact,
        share: withValue(contact.share, share),
        horizontalShare: withValue(contact.horizontalShare, horizontalShare),
      }
    }),
    balanced: nominal.balanced,
  }
}

/** A range about its working figure. */
function withValue({ min, max }: LoadRange, value: number): LoadRange {
  return { value, min: Math.min(min, value), max: Math.max(max, value) }
}

type Working = { part: ContactPart; atCm: Point; share: number; horizontalShare: number }

function workingFigure(
  centre: Point,
  { groups, wall, given, anchor = 0 }: Supports,
  pressed: number,
): { contacts: Working[]; balanced: boolean } {
  const [first, second] = groups
  const anchorY = first.patches[0].heightCm ?? 0
  let { load, moment } = leftToCarry(centre, given, anchorY)
  let push = wall?.push ?? 0
  if (wall && !second) {
    const p = restingAt(first)
    const rub = wall.frictionUse * wall.friction
    push = Math.max(0, (moment - p * load) / (wall.at.y - anchorY + rub * (wall.at.x - p)))
  }
  const lift = wall ? wall.frictionUse * wall.friction * push : 0
  if (wall) {
    load -= lift
    moment -= lift * wall.at.x + push * (wall.at.y - anchorY)
  }
  const contacts: Working[] = []
  let balanced = true
  const put = (group: PatchGroup, groupLoad: number, at: number): void => {
    balanced = spread(group, groupLoad, at, contacts) && balanced
  }
  if (second) {
    const [a, b] = [restingAt(first), restingAt(second)]
    const higher = (second.patches[0].heightCm ?? 0) - anchorY
    const secondLoad = (moment + pressed * higher - a * load) / (b - a)
    const held = Math.min(load, Math.max(0, secondLoad))
    balanced = Math.abs(held - secondLoad) < EDGE
    put(first, load - held, a)
    put(second, held, b)
  } else put(first, load, moment / load)
  const anchored = contacts[anchor]
  if (anchored) anchored.horizontalShare = push - (given?.horizontalShare ?? 0) - pressed
  // Whatever presses is the second group's first patch; where there is none nothing does.
  const presses = contacts[first.patches.length]
  if (presses) presses.horizontalShare = pressed
  contacts.push(...besidePatches({ wall, given }, lift, push))
  return { contacts, balanced }
}

/** What the patches have left to carry, and its moment about the origin. */
function leftToCarry(
  centre: Point,
  given: Supports['given'],
  anchorY: number,
): { load: number; moment: number } {
  if (!given) return { load: 1, moment: centre.x }
  const { at, share, horizontalShare } = given
  return { load: 1 - share, moment: centre.x - (at.x * share - (at.y - anchorY) * horizontalShare) }
}

/** The wall's force and what is given, after the patches. */
function besidePatches({ wall, given }: Omit<Supports, 'groups'>, lift: number, push: number): Working[] {
  const atWall = wall ? [{ part: wall.part, atCm: wall.at, share: lift, horizontalShare: -push }] : []
  if (!given) return atWall
  const { part, at, share, horizontalShare } = given
  return [...atWall, { part, atCm: at, share, horizontalShare }]
}

/** Where a group's load is taken to come down when it does not stand alone. */
function restingAt(group: PatchGroup): number {
  return 'throughCm' in group ? group.throughCm : group.patches[0].nominalCm
}

/** Puts a group's load down at a place: one patch moves its pressure there, two share it like a beam. */
function spread(group: PatchGroup, load: number, at: number, into: Working[]): boolean {
  const [a, b] = group.patches
  const contact = (patch: Patch, x: number, share: number): void => {
    into.push({ part: patch.part, atCm: { x, y: patch.heightCm ?? 0 }, share, horizontalShare: 0 })
  }
  if (!b) {
    const x = Math.min(a.toCm, Math.max(a.fromCm, at))
    contact(a, x, load)
    return Math.abs(x - at) < EDGE
  }
  // Beyond one of the working places the pressure on that patch moves out to meet the load.
  const [p, q] = [Math.min(a.nominalCm, Math.max(a.fromCm, at)), Math.max(b.nominalCm, Math.min(b.toCm, at))]
  const share = q - p < EDGE ? 0.5 : Math.min(1, Math.max(0, (at - p) / (q - p)))
  contact(a, p, load * (1 - share))
  contact(b, q, load * share)
  return Math.abs(p * (1 - share) + q * share - at) < 1e-6
}

/** Two supports on the floor can push at each other as hard as the lighter one grips, as a share of its load. */
const FLOOR_GRIP = 0.5

/**
 * Hands and feet on one floor may draw together or push apart, and statics do not say which: the horizontal force of each
 * lies anywhere within the grip of the lighter one, and where one stands higher their shares move with it.
 */
function gripped(
  { groups: [first, second], wall, given, pressed }: Supports,
  contacts: Contact[],
): Contact[] {
  if (!second || wall || given) return contacts
  const ends = [first.patches.length, second.patches.length]
  const sides = [contacts.slice(0, ends[0]), contacts.slice(ends[0])]
  const carried = sides.map((side) => side.reduce((sum, { share }) => sum + share.value, 0))
  const grip = FLOOR_GRIP * Math.min(...carried)
  const [least, most]: readonly [number, number] = pressed ? [pressed.min, pressed.max] : [-grip, grip]
  const [low, high] = [placeOf(sides[0]), placeOf(sides[1])]
  const slope = (high.y - low.y) / (high.x - low.x)
  // What the second takes on by pressing so, the first is relieved of.
  const takes = [least * slope, most * slope].toSorted((a, b) => a - b)
  const spread = [
    { share: takes.map((t) => -t).toReversed(), across: [-most, -least] },
    { share: takes, across: [least, most] },
  ]
  return sides.flatMap((side, i) =>
    side.map((contact) => {
      // Of a pair that carries together each takes its part of the grip.
      const part = carried[i] ? contact.share.value / carried[i] : 0
      const { share, horizontalShare: across } = contact
      const [less = 0, more = 0] = spread[i]?.share ?? []
      const [back = 0, forth = 0] = spread[i]?.across ?? []
      return {
        ...contact,
        share: {
          value: share.value,
          min: Math.max(0, share.min + less * part),
          max: share.max + more * part,
        },
        horizontalShare: {
          value: across.value,
          min: across.min + back * part,
          max: across.max + forth * part,
        },
      }
    }),
  )
}

/** Where a group of contacts stands: the heaviest of them. */
function placeOf(side: readonly Contact[] = []): Point {
  return side.reduce((a, b) => (b.share.value > a.share.value ? b : a)).atCm
}

/** What one contact carries at a corner, and the least and most over all corners so far. */
type Account = {
  share: number
  across: number
  low: number
  high: number
  left: number
  right: number
}

/** One ray of force: which contact it loads, how much weight it carries, its moment and its horizontal part, per unit. */
type Ray = { readonly on: Account; readonly lift: number; readonly moment: number; readonly across: number }

/** More than half of the body's weight against a wall is shoving, not resting; it would leave no bound at all. */
const MOST_PUSH = 0.5

/**
 * Least and most of every contact. All loads that keep the body at rest form a polytope: two equations, no ray pulls,
 * the wall is not shoved. Its corners use two rays, or one or two beside the hardest push, so trying them all finds
 * every extreme.
 */
function withRanges(
  centre: Point,
  supports: Supports,
  working: readonly Working[],
  balanced: boolean,
): Contact[] {
  const accounts = working.map(({ share, horizontalShare: across }): Account => ({
    share,
    across,
    low: share,
    high: share,
    left: across,
    right: across,
  }))
  // A single patch carries everything: there is nothing to share.
  if (balanced && working.length > 1) widen(accounts, centre, supports)
  return working.map(({ part, atCm, share, horizontalShare }, i) => {
    const { low, high, left, right } = accounts[i] ?? { low: share, high: share, left: 0, right: 0 }
    return {
      part,
      atCm,
      share: { value: share, min: low, max: high },
      horizontalShare: { value: horizontalShare, min: left, max: right },
    }
  })
}

/** Accounts lie in the order of the contacts: patches, then the wall, then what is given. */
function widen(
  accounts: readonly Account[],
  centre: Point,
  { groups, wall, given, anchor = 0 }: Supports,
): void {
  const anchorY = groups[0].patches[0].heightCm ?? 0
  const patches = groups.flatMap((group): readonly Patch[] => group.patches)
  const floor = patches.flatMap((patch, i) => raysOf(patch, accounts[i]))
  const [atAnchor, atWall, atGiven] = [accounts[anchor], accounts[patches.length], accounts.at(-1)]
  const { load, moment } = leftToCarry(centre, given, anchorY)

  const corner = (r: Ray, a: number, s: Ray, b: number, push: number, rubbed: number): void => {
    for (const account of accounts) {
      account.share = 0
      account.across = 0
    }
    for (const [ray, much] of [
      [r, a],
      [s, b],
    ] as const) {
      ray.on.share += ray.lift * much
      ray.on.across += ray.across * much
    }
    if (wall && atWall) {
      atWall.across -= push
      atWall.share += rubbed
    }
    if (given && atGiven) {
      atGiven.share = given.share
      atGiven.across = given.horizontalShare
    }
    if (atAnchor) atAnchor.across -= accounts.reduce((sum, { across }) => sum + across, 0)
    for (const account of accounts) {
      account.low = Math.min(account.low, account.share)
      account.high = Math.max(account.high, account.share)
      account.left = Math.min(account.left, account.across)
      account.right = Math.max(account.right, account.across)
    }
  }

  if (!wall || !atWall) {
    pairs(floor, load, moment, (r, a, s, b) => corner(r, a, s, b, 0, 0))
    return
  }
  const height = wall.at.y - anchorY
  // What rests on a wall is held up by its rubbing, never pressed down by it.
  const cone = (wall.friction > 0 ? [wall.friction, 0] : [0]).map((rub) => ({
    on: atWall,
    lift: rub,
    moment: rub * wall.at.x + height,
    across: -1,
  }))
  const onWall = (r: Ray, a: number, s: Ray, b: number): number =>
    (r.on === atWall ? a : 0) + (s.on === atWall ? b : 0)
  pairs([...floor, ...cone], load, moment, (r, a, s, b) => {
    if (onWall(r, a, s, b) <= MOST_PUSH) corner(r, a, s, b, 0, 0)
  })
  // At the hardest push the rubbing is still free, or at one of its own ends.
  const mostRub = wall.friction * MOST_PUSH
  const atMost = moment - MOST_PUSH * height
  const rubbing: Ray[] = [{ on: atWall, lift: 1, moment: wall.at.x, across: 0 }]
  pairs([...floor, ...rubbing], load, atMost, (r, a, s, b) => {
    if (onWall(r, a, s, b) <= mostRub + EDGE) corner(r, a, s, b, MOST_PUSH, 0)
  })
  for (const rub of [mostRub, 0])
    pairs(floor, load - rub, atMost - rub * wall.at.x, (r, a, s, b) => corner(r, a, s, b, MOST_PUSH, rub))
}

/** Every pair of rays that carries the load at its moment without pulling. */
function pairs(
  rays: readonly Ray[],
  load: number,
  moment: number,
  found: (r: Ray, a: number, s: Ray, b: number) => void,
): void {
  for (const [i, r] of rays.entries())
    for (const s of rays.slice(i + 1)) {
      const determinant = r.lift * s.moment - s.lift * r.moment
      if (Math.abs(determinant) < EDGE) continue
      const a = (load * s.moment - s.lift * moment) / determinant
      const b = (r.lift * moment - load * r.moment) / determinant
      if (a >= -EDGE && b >= -EDGE) found(r, a, s, b)
    }
}

/** A patch is the sum of loads at its two ends. */
function raysOf(patch: Patch, on: Account | undefined): Ray[] {
  if (!on) return []
  const ray = (moment: number): Ray => ({ on, lift: 1, moment, across: 0 })
  return patch.toCm > patch.fromCm ? [ray(patch.fromCm), ray(patch.toCm)] : [ray(patch.fromCm)]
}
