import type { SegmentName } from '../body/anthropometry'
import type { AttemptLevel } from '../readiness/evidence'

/** How somebody in the demo world is and how they came along; every value is invented. */
export type DemoPerson = {
  readonly name: string
  readonly statureCm: number | null
  readonly measured?: Partial<Record<SegmentName, number>>
  readonly breathS?: number
  /** Dolphin hold eight weeks ago and now, s; null where never timed. */
  readonly hold: readonly [number, number] | null
  readonly headClearCm?: number
  readonly legLift?: readonly [number, number]
  readonly overheadFists?: readonly [number, number]
  readonly kick?: readonly [number, number]
  readonly pelvicSet?: boolean
  readonly plankS?: number
  readonly driftCm?: number
  /** Stage worked at over the last weeks, newest last: stage, weeks ago, outcome, faults. */
  readonly worked?: readonly {
    stage: string
    weeksAgo: number
    clean: boolean
    faults?: readonly string[]
    exit?: boolean
    /** The setup it was done in, where it is not the stage’s usual one. */
    setup?: string
    level?: AttemptLevel
    lead?: 'left' | 'right'
    seconds?: number
  }[]
  readonly placedAt?: { stage: string; weeksAgo: number }
  /** Weeks since last seen; 0 came last time. */
  readonly away?: number
}

const clean = (stage: string, ...weeks: number[]): NonNullable<DemoPerson['worked']> =>
  weeks.map((weeksAgo) => ({ stage, weeksAgo, clean: true }))

/** Kicks in one class, legs leading in turn. */
const kicks = (
  stage: string,
  weeksAgo: number,
  ...levels: AttemptLevel[]
): NonNullable<DemoPerson['worked']> =>
  levels.map((level, i) => ({
    stage,
    weeksAgo,
    clean: level === 'touched' || level === 'held',
    level,
    lead: i % 2 === 0 ? 'left' : 'right',
  }))

/** Timed tries in turns, with an aid and without. */
const inTurns = (
  stage: string,
  weeksAgo: number,
  setups: readonly [string, string],
  pairs: readonly (readonly [number, number])[],
): NonNullable<DemoPerson['worked']> =>
  pairs.flatMap((pair) =>
    setups.map((setup, i) => ({ stage, weeksAgo, clean: true, setup, seconds: pair[i as 0 | 1] })),
  )

/** The fourteen people of the Boathouse Room. */
export const DEMO_PEOPLE: readonly DemoPerson[] = [
  {
    name: 'Ines Calder',
    statureCm: 168,
    measured: { upperArm: 30.5, forearm: 24 },
    hold: [26, 52],
    headClearCm: 4,
    legLift: [31, 30],
    overheadFists: [1, 2],
    kick: [2, 2],
    pelvicSet: true,
    plankS: 60,
    driftCm: 1,
    worked: clean('FS-09', 3, 2, 1, 0),
  },
  {
    name: 'Tomas Reyle',
    statureCm: 183,
    hold: [18, 34],
    headClearCm: 3,
    legLift: [9, 7],
    pelvicSet: true,
    plankS: 45,
    driftCm: 2,
    worked: clean('FS-05', 2, 1, 0),
  },
  {
    name: 'Wren Haskett',
    statureCm: 157,
    breathS: 4,
    hold: [12, 25],
    headClearCm: 2.5,
    pelvicSet: true,
    plankS: 30,
    driftCm: 1.5,
    worked: clean('FS-04', 1, 0),
  },
  {
    name: 'Odile Marchetti-Voss',
    statureCm: 172,
    hold: [30, 31],
    headClearCm: 5,
    legLift: [6, 4],
    pelvicSet: true,
    plankS: 50,
    driftCm: 1,
    worked: [
      ...clean('FS-05', 3),
      ...inTurns(
        'FS-05',
        0,
        ['SETUP-dolphin-block', 'SETUP-dolphin-plain'],
        [
          [12, 9],
          [13, 10],
          [12, 8],
          [14, 9],
        ],
      ),
    ],
  },
  {
    name: 'Bertram Oake',
    statureCm: 190,
    measured: { shoulderBreadth: 51 },
    hold: [9, 16],
    pelvicSet: true,
    plankS: 22,
    driftCm: 3,
    worked: clean('FS-03a', 1, 0).map((work) => ({ ...work, seconds: 30 })),
  },
  {
    name: 'Sunniva Lund',
    statureCm: 163,
    hold: [40, 61],
    headClearCm: 6,
    legLift: [30, 31],
    overheadFists: [0, 1],
    kick: [3, 3],
    pelvicSet: true,
    plankS: 90,
    driftCm: 0.5,
    worked: [...clean('FS-16', 3, 2, 1), ...clean('AD-01', 3, 2, 1, 0)],
  },
  {
    name: 'Priya Dunmore',
    statureCm: 160,
    hold: [20, 33],
    headClearCm: 3.5,
    legLift: [8, 8],
    pelvicSet: true,
    plankS: 40,
    driftCm: 1,
    worked: [
      ...clean('FS-06', 3, 2),
      { stage: 'FS-06', weeksAgo: 1, clean: false, faults: ['FT-shoulder-sink'] },
      { stage: 'FS-06', weeksAgo: 0, clean: false, faults: ['FT-shoulder-sink'] },
    ],
  },
  {
    name: 'Callum Strand',
    statureCm: 178,
    hold: [22, 28],
    headClearCm: 1.5,
    pelvicSet: true,
    plankS: 35,
    driftCm: 2,
    worked: [
      ...clean('FS-05', 4, 2),
      { stage: 'FS-05', weeksAgo: 0, clean: false, faults: ['FT-head-drop'] },
    ],
  },
  { name: 'Maud Ferrier', statureCm: 154, hold: null, pelvicSet: true },
  {
    name: 'Jonty Abara',
    statureCm: 175,
    hold: [33, 38],
    headClearCm: 4,
    pelvicSet: true,
    plankS: 55,
    worked: clean('FS-06', 5, 4),
    away: 4,
  },
  {
    name: 'Ysolde Pike',
    statureCm: 166,
    hold: [48, 50],
    headClearCm: 4,
    legLift: [28, 27],
    overheadFists: [2, 2],
    pelvicSet: true,
    plankS: 80,
    driftCm: 1,
    placedAt: { stage: 'FS-06', weeksAgo: 1 },
  },
  { name: 'Hamish Tolland', statureCm: 181, hold: [7, 14], pelvicSet: false, plankS: 12 },
  {
    name: 'Greta Sommerby',
    statureCm: 169,
    hold: [40, 39],
    headClearCm: 3,
    legLift: [24, 21],
    overheadFists: [2, 1],
    kick: [2, 1],
    pelvicSet: true,
    plankS: 60,
    driftCm: 1,
    worked: [
      ...clean('FS-09', 2),
      ...kicks('FS-09', 1, 'hop', 'hop', 'touched', 'hop'),
      ...kicks('FS-09', 0, 'touched', 'hop', 'held', 'touched', 'touched', 'hop'),
    ],
  },
  { name: 'Ravi Ellender', statureCm: null, hold: null },
]
