import fc from 'fast-check'
import { carry } from './supports'
import { on, type Contact, type Patch, type Supports } from './contacts'

const at = (part: Patch['part'], fromCm: number, toCm = fromCm, nominalCm = (fromCm + toCm) / 2): Patch => ({
  part,
  fromCm,
  toCm,
  nominalCm,
})
const find = (contacts: readonly Contact[], part: Patch['part']): Contact => {
  const found = contacts.find((c) => c.part === part)
  if (!found) throw new Error(`no contact ${part}`)
  return found
}

describe('pencil and paper', () => {
  it('shares a body whose plumb line falls three quarters of the way: 75 % in front', () => {
    const { contacts } = carry({ x: 75, y: 40 }, { groups: [on(at('toes', 0)), on(at('hands', 100))] })
    expect(find(contacts, 'hands').share).toEqual({ value: 0.75, min: 0.75, max: 0.75 })
  })
  it('lets the pressure roam: hands on 0–10, toes at −90, plumb at −30 give 60–66.7 %', () => {
    const { contacts } = carry(
      { x: -30, y: 40 },
      { groups: [on(at('toes', -90)), on(at('hands', 0, 10, 0))] },
    )
    const { share } = find(contacts, 'hands')
    expect(share.max).toBeCloseTo(60 / 90, 12)
    expect(share.min).toBeCloseTo(60 / 100, 12)
  })
  it('pushes a wall by lean over height: 20 cm of lean at 150 cm is 13.3 % of body weight', () => {
    const { contacts } = carry(
      { x: 20, y: 80 },
      {
        groups: [on(at('forearms', 0))],
        wall: { part: 'wallFeet', at: { x: 50, y: 150 }, friction: 0, frictionUse: 0 },
      },
    )
    expect(find(contacts, 'wallFeet').horizontalShare.value).toBeCloseTo(-20 / 150, 12)
    expect(find(contacts, 'forearms').horizontalShare.value).toBeCloseTo(20 / 150, 12)
  })
  it('splits a pair like a beam: plumb 3 from the elbows, crown at 12, elbows at 0 carry 75 %', () => {
    const { contacts } = carry(
      { x: 3, y: 60 },
      { groups: [{ patches: [at('forearms', 0), at('crown', 12)], throughCm: 3 }] },
    )
    expect(find(contacts, 'forearms').share.value).toBeCloseTo(0.75, 12)
    expect(find(contacts, 'crown').share.value).toBeCloseTo(0.25, 12)
  })
  it('takes a helper’s lift off the floor: 10 % up at the plumb line leaves 90 %', () => {
    const { contacts } = carry(
      { x: 5, y: 60 },
      {
        groups: [on(at('hands', 0, 10))],
        given: { part: 'helper', at: { x: 5, y: 70 }, share: 0.1, horizontalShare: 0 },
      },
    )
    expect(find(contacts, 'hands').share.value).toBeCloseTo(0.9, 12)
  })
  it('never shoves a wall with more than half of body weight', () => {
    const { contacts } = carry(
      { x: 2, y: 60 },
      {
        groups: [on(at('hands', -50, 50, 0))],
        wall: { part: 'wallFeet', at: { x: 60, y: 10 }, friction: 0.5, frictionUse: 0 },
      },
    )
    expect(find(contacts, 'wallFeet').horizontalShare.min).toBeGreaterThanOrEqual(-0.5 - 1e-9)
  })
  it('says when nothing on offer holds the body', () => {
    expect(carry({ x: 30, y: 60 }, { groups: [on(at('hands', 0, 18))] }).balanced).toBe(false)
    expect(carry({ x: 9, y: 60 }, { groups: [on(at('hands', 0, 18))] }).balanced).toBe(true)
  })
})

const anySupports = fc
  .record({
    rear: fc.double({ min: -120, max: -40, noNaN: true }),
    front: fc.double({ min: 2, max: 40, noNaN: true }),
    plumb: fc.double({ min: -39, max: 1, noNaN: true }),
    high: fc.double({ min: 60, max: 190, noNaN: true }),
    friction: fc.double({ min: 0, max: 0.5, noNaN: true }),
    push: fc.double({ min: 0, max: 0.1, noNaN: true }),
  })
  .map(({ rear, front, plumb, high, friction, push }) => ({
    centre: { x: plumb, y: high / 2 },
    supports: {
      groups: [on(at('toes', rear, rear + 5)), on(at('hands', 0, front))],
      wall: { part: 'wallFeet', at: { x: 60, y: high }, friction, frictionUse: 0, push },
    } satisfies Supports,
  }))

describe('laws', () => {
  it('a range is what a search over every split finds', () => {
    fc.assert(
      fc.property(anySupports, ({ centre, supports }) => {
        const { contacts, balanced } = carry(centre, supports)
        fc.pre(balanced)
        const { min, max } = find(contacts, 'hands').share
        const [low, high] = [...searched(centre.x, supports)].reduce(
          ([lo, hi], share) => [Math.min(lo, share), Math.max(hi, share)],
          [Infinity, -Infinity],
        )
        // The search stands on a grid whose corners are the true extremes.
        expect(low).toBeCloseTo(min, 4)
        expect(high).toBeCloseTo(max, 4)
      }),
    )
  })
  it('more friction only widens every range', () => {
    fc.assert(
      fc.property(anySupports, fc.double({ min: 0, max: 0.3, noNaN: true }), ({ centre, supports }, more) => {
        const rougher = { ...supports, wall: { ...supports.wall, friction: supports.wall.friction + more } }
        const [a, b] = [carry(centre, supports), carry(centre, rougher)]
        for (const [i, { share }] of a.contacts.entries()) {
          expect(b.contacts[i]!.share.min).toBeLessThanOrEqual(share.min + 1e-9)
          expect(b.contacts[i]!.share.max).toBeGreaterThanOrEqual(share.max - 1e-9)
        }
      }),
    )
  })
  it('mirrored supports carry mirrored loads', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -100, max: -20, noNaN: true }),
        fc.double({ min: 5, max: 40, noNaN: true }),
        fc.double({ min: -19, max: 4, noNaN: true }),
        (rear, front, plumb) => {
          const there = carry(
            { x: plumb, y: 50 },
            { groups: [on(at('toes', rear)), on(at('hands', 0, front))] },
          )
          const back = carry(
            { x: -plumb, y: 50 },
            { groups: [on(at('hands', -front, 0)), on(at('toes', -rear))] },
          )
          for (const part of ['toes', 'hands'] as const)
            for (const edge of ['value', 'min', 'max'] as const)
              expect(find(back.contacts, part).share[edge]).toBeCloseTo(
                find(there.contacts, part).share[edge],
                9,
              )
        },
      ),
    )
  })
})

/** Hand share of every combination of pressure places, push and friction that balances: the slow way. */
function* searched(centreX: number, { groups, wall }: Supports): Generator<number> {
  const [[toes], [hands]] = [groups[0].patches, groups[1]!.patches]
  const { at: place, friction } = wall!
  const mostPush = 0.5
  for (const toe of [toes.fromCm, toes.toCm])
    for (const hand of [hands.fromCm, hands.toCm])
      for (const use of [0, 1]) {
        const rub = use * friction
        // Hand share falls or rises linearly with the push, so its ends are where a load reaches nought or the bound.
        const handShare = (push: number): number =>
          (centreX - rub * push * place.x - push * place.y - toe * (1 - rub * push)) / (hand - toe)
        const slope = handShare(1) - handShare(0)
        const ends = [0, mostPush, -handShare(0) / slope, (1 - handShare(0)) / (rub + slope)]
        for (const push of ends) {
          const share = handShare(push)
          if (push >= 0 && push <= mostPush && share >= -1e-12 && 1 - rub * push - share >= -1e-12)
            yield share
        }
      }
}
