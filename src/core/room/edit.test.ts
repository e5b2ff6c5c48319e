import fc from 'fast-check'
import { EMPTY_ROOM, isImpossible, roomFromWall, roomProblems, type Room } from './room'
import { addPart, moveBy, removePart } from './edit'

const kinds = ['bay', 'mat', 'door', 'thing'] as const
const parts = (room: Room) => [...room.bays, ...room.mats, ...room.doors, ...room.things]

it.each(kinds)('adds a %s where nothing is impossible, and takes it away again', (kind) => {
  const added = addPart(EMPTY_ROOM, kind, 'new')
  expect(parts(added).map((p) => p.id)).toEqual(['new'])
  expect(roomProblems(added).filter(isImpossible)).toEqual([])
  expect(parts(removePart(added, 'new'))).toEqual([])
})
it('puts bays side by side and goes on along the next wall', () => {
  let room = EMPTY_ROOM
  for (let i = 0; i < 8; i += 1) room = addPart(room, 'bay', `b${i}`)
  expect(room.bays.map((b) => b.fromCm)).toEqual([0, 120, 240, 360, 480, 600, 0, 120])
  expect(room.bays.map((b) => b.side).at(-1)).toBe('east')
})
it('moves nothing out of the room, however far it is pulled, and moves nothing else', () => {
  const start = addPart(addPart(roomFromWall(480), 'door', 'door'), 'thing', 'stove')
  fc.assert(
    fc.property(
      fc.constantFrom(...parts(start).map((p) => p.id)),
      fc.integer({ min: -2000, max: 2000 }),
      fc.integer({ min: -2000, max: 2000 }),
      (id, dx, dy) => {
        const moved = moveBy(start, id, dx, dy)
        const outside = roomProblems(moved).filter((p) => isImpossible(p) && p.code !== 'bays-overlap')
        expect(outside).toEqual([])
        expect(parts(moved).filter((p) => p.id !== id)).toEqual(parts(start).filter((p) => p.id !== id))
      },
    ),
  )
})
it('slides a bay along its own wall only, on a grid of five', () => {
  const moved = moveBy(addPart(EMPTY_ROOM, 'bay', 'b'), 'b', 103, 400)
  expect(moved.bays[0]).toMatchObject({ side: 'north', fromCm: 105 })
})
