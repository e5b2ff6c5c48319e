import type { PropItem } from '../props/inventory'
import type { Day } from '../day'
import { addDays } from '../day'
import type { EmergencyCard } from '../room/emergency'
import type { Bay, Room } from '../room/room'

/** The Boathouse Room: five usable bays along two walls, one of them short beside the stove, and one closed. */
export const DEMO_ROOM: Room = {
  widthCm: 760,
  depthCm: 620,
  bays: [
    bay('bay-a', 'north', 20, 125),
    bay('bay-b', 'north', 150, 125),
    bay('bay-c', 'north', 280, 125),
    bay('bay-d', 'north', 410, 200),
    bay('bay-e', 'north', 620, 105, 'stove near'),
    { ...bay('bay-f', 'east', 320, 120, 'radiator'), usable: false },
  ],
  mats: [
    ...[300, 400, 500, 600].map((xCm, i) => ({ id: `mat-a${i}`, xCm: xCm - 230, yCm: 300, turned: false })),
    ...[300, 400, 500, 600].map((xCm, i) => ({ id: `mat-b${i}`, xCm: xCm - 230, yCm: 505, turned: false })),
    ...[0, 1].map((i) => ({ id: `mat-c${i}`, xCm: 470 + 100 * i, yCm: 300, turned: false })),
    ...[0, 1].map((i) => ({ id: `mat-d${i}`, xCm: 470 + 100 * i, yCm: 505, turned: false })),
  ],
  doors: [
    { id: 'door-a', side: 'west', fromCm: 460, widthCm: 110 },
    { id: 'door-b', side: 'south', fromCm: 640, widthCm: 90 },
  ],
  things: [{ id: 'stove', name: 'Stove', xCm: 700, yCm: 250, widthCm: 60, depthCm: 50 }],
}

function bay(id: string, side: Bay['side'], fromCm: number, widthCm: number, obstacle = ''): Bay {
  return { id, side, fromCm, widthCm, obstacle, usable: true }
}

/** A modest cupboard. */
export function demoCupboard(asOf: Day, id: () => string): PropItem[] {
  const line = (shape: string, count: number, part: Partial<PropItem> = {}): PropItem => ({
    id: id(),
    shape,
    localName: '',
    sizeCm: null,
    count,
    condition: 'sound',
    checkedDay: addDays(asOf, -30),
    ...part,
  })
  return [
    line('tall-block', 10, { localName: 'brick' }),
    line('thin-block', 2),
    line('tall-block', 2, { condition: 'out' }),
    line('slab', 8),
    line('half-slab', 2),
    line('strap-medium', 4, { localName: 'belt' }),
    line('strap-long', 2, { localName: 'long belt' }),
    line('bolster', 4, { condition: 'worn', checkedDay: addDays(asOf, -40) }),
    line('blanket', 14),
    line('chair', 3, { checkedDay: addDays(asOf, -100) }),
    line('mat', 14),
  ]
}

export const DEMO_EMERGENCY: EmergencyCard = {
  address: 'The Boathouse Room, Slip Lane 4, Skerrow',
  howToFindUs: 'Green door beside the slipway; somebody waits at the lamp.',
  emergencyNumber: 'As on the telephone by the door',
  contacts: 'Caretaker: extension 12',
  firstAid: 'White box, left of the sink',
  defibrillator: 'Harbour office, two minutes on foot, open day and night',
  firstAiders: 'Ottoline Marsh, Bram Teale',
}
