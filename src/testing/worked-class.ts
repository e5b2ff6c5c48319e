import { NO_LIMITS } from '@/core/screening/caps'
import { brief, limited, person, stock } from './briefs'

const OPEN = { limits: NO_LIMITS }
const HELPER = { id: 'h1', trained: ['AS-kick-catch', 'AS-hips-steady'] }
/** The class of class-craft.md 20: twelve people, five places, one teacher and one helper. */
export const WORKED = brief({
  ...{ minutes: 60, bays: 5, helpers: [HELPER] },
  cupboard: stock({ block: 16, strap: 8, chair: 4, bolster: 6 }),
  people: [
    ...[1, 2, 3].map((i) => person(i, { standingId: 'FS-04', targetId: 'FS-05', outcome: 'offer', ...OPEN })),
    ...[4, 5, 6, 7].map((i) =>
      person(i, { standingId: 'FS-07', targetId: 'FS-09', outcome: 'offer', ...OPEN }),
    ),
    ...[8, 9].map((i) =>
      person(i, {
        standingId: 'FS-10a',
        targetId: 'FS-12',
        outcome: 'offer',
        looked: { answer: 'accept', reason: null },
        ...OPEN,
      }),
    ),
    person(10, { standingId: 'FS-02', targetId: 'FS-07', outcome: 'near', ...OPEN }),
    person(11, { standingId: 'FS-05', targetId: null, outcome: 'held', limits: limited('BP-MED') }),
    person(12, { standingId: 'FS-04', targetId: 'FS-05', outcome: 'near', limits: limited('REFLUX') }),
  ],
})
