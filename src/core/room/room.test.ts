import fc from 'fast-check'
import { placePeople } from './places'
import {
  baysIn,
  EMPTY_ROOM,
  floorBefore,
  isImpossible,
  matBox,
  roomFromWall,
  roomProblems,
  usableBays,
  type Bay,
  type Room,
} from './room'

const bay = (id: string, fromCm: number, part: Partial<Bay> = {}): Bay => ({
  id,
  side: 'north',
  fromCm,
  widthCm: 120,
  obstacle: '',
  usable: true,
  ...part,
})
const door = { id: 'd', side: 'south', fromCm: 0, widthCm: 90 } as const
const room = (part: Partial<Room>): Room => ({ ...EMPTY_ROOM, doors: [door], ...part })
const codes = (r: Room): string[] => roomProblems(r).map((p) => p.code)

it('7.2 m of wall takes six people, 1.1 m nobody', () => {
  expect(baysIn(720)).toBe(6)
  expect(baysIn(110)).toBe(0)
})
it('a first room from any wall has bays side by side and nothing impossible in it', () => {
  fc.assert(
    fc.property(fc.integer({ min: 120, max: 4000 }), (wall) => {
      const made = roomFromWall(wall)
      expect(usableBays(made)).toHaveLength(baysIn(wall))
      expect(roomProblems(made).filter(isImpossible)).toEqual([])
    }),
  )
})
it('counts a bay that is narrow but allowed, not one that is closed or under a metre', () => {
  const bays = [
    bay('a', 0),
    bay('b', 120, { widthCm: 105 }),
    bay('c', 230, { widthCm: 90 }),
    bay('d', 400, { usable: false }),
  ]
  expect(usableBays({ bays }).map((b) => b.id)).toEqual(['a', 'b'])
  expect(usableBays({ bays }, 200)).toEqual([])
})
it.each<[string, Partial<Room>, string]>([
  ['a bay past the corner', { bays: [bay('a', 650)] }, 'bay-outside'],
  ['a bay on a side wall longer than the wall', { bays: [bay('a', 500, { side: 'west' })] }, 'bay-outside'],
  ['two bays on one stretch', { bays: [bay('a', 0), bay('b', 100)] }, 'bays-overlap'],
  ['a bay across a door', { bays: [bay('a', 0, { side: 'south' })] }, 'bay-on-door'],
  ['a narrow bay', { bays: [bay('a', 0, { widthCm: 110 })] }, 'bay-narrow'],
  [
    'a stove behind a kicker',
    {
      bays: [bay('a', 0)],
      things: [{ id: 's', name: 'Stove', xCm: 40, yCm: 180, widthCm: 60, depthCm: 60 }],
    },
    'thing-in-fall-zone',
  ],
  ['a mat half outside', { mats: [{ id: 'm', xCm: 10, yCm: 300, turned: false }] }, 'mat-outside'],
  ['a room without a way out', { doors: [] }, 'no-door'],
])('tells of %s', (_, part, code) => expect(codes(room(part))).toContain(code))
it('bays on two walls do not overlap, and a stove beside the fall zone is no trouble', () => {
  expect(
    codes(
      room({
        bays: [bay('a', 0), bay('b', 0, { side: 'west' })],
        things: [{ id: 's', name: 'Stove', xCm: 300, yCm: 0, widthCm: 60, depthCm: 60 }],
      }),
    ),
  ).toEqual([])
})
it('lays the floor before every wall inside the room', () => {
  for (const side of ['north', 'east', 'south', 'west'] as const) {
    const box = floorBefore(EMPTY_ROOM, bay('a', 100, { side }), 200)
    expect([box.x >= 0, box.y >= 0, box.x + box.width <= 720, box.y + box.height <= 600]).toEqual([
      true,
      true,
      true,
      true,
    ])
  }
})
it('turns a mat across the room', () => {
  expect(matBox({ id: 'm', xCm: 100, yCm: 100, turned: true })).toEqual({
    x: 10,
    y: 69,
    width: 180,
    height: 62,
  })
})

describe('who is where', () => {
  const drawn = roomFromWall(480)
  it('puts the first wave at its bays and the others on mats, each once', () => {
    fc.assert(
      fc.property(fc.uniqueArray(fc.string({ minLength: 1 }), { maxLength: 30 }), (roster) => {
        const up = roster.slice(0, 2).map((studentId, i) => ({ bay: i + 1, studentId }))
        const { placed, unplaced } = placePeople(drawn, roster, up)
        expect([...placed.map((p) => p.studentId), ...unplaced].sort()).toEqual([...roster].sort())
        expect(new Set(placed.map((p) => p.at)).size).toBe(placed.length)
      }),
    )
  })
  it('leaves nobody at a bay that is not there', () => {
    expect(placePeople(drawn, ['a'], [{ bay: 9, studentId: 'a' }]).placed).toEqual([
      { studentId: 'a', at: 'mat-1' },
    ])
  })
})
