/** What the planner aims at, in points: published weights, the heaviest aim first (docs/method/planning.md). */
export const WEIGHTS = {
  /** Everybody works, at the same purpose. */
  waitsThrough: -25,
  /** The same version in two blocks of one’s own step: once is practice, twice is filler while something else is open. */
  sameTwice: -18,
  /** A shape to rest in stayed in again; a third time costs again. */
  restAgain: -18,
  /** Somebody has nothing of a family that the class is for, though something of it is open to them. */
  unnamed: -24,
  waitingMinute: -0.15,
  /** For whoever lies and waits until others come out: groups one after the other want a reason. */
  waitingToStay: -0.5,
  /** Practice at one's own next step, and what is short. */
  peak: 40,
  skill: 8,
  support: 8,
  ease: 10,
  /** Minutes in a supported shape: a second kind of peak. */
  stay: 30,
  train: 3,
  /** A minute really at work, at one's own step; what lies far below it counts a part of that. */
  ownMinute: 1,
  lacks: 20,
  firstTry: 4,
  /** At the wall: somebody’s own step is there, and one wave on the floor leaves fewer waiting. Then fair shares. */
  wallTurn: 6,
  wallDebt: 3,
  helpDebt: 2,
  /** Few moves, few versions, something new, minutes used. */
  piece: -0.4,
  rig: -1,
  keptPiece: 0.4,
  version: -1.5,
  /** Taught to one person alone. */
  alone: -1,
  /** A drill of strength that everybody has warmed up with. */
  warmedAlready: -20,
  /** Waves where nothing is scarce: people wait for nothing. */
  idleWaves: -12,
  again: -1,
  changeoverMinute: -0.5,
  unusedMinute: -1.5,
  /** What breaks a hard rule costs so much that it never pays. */
  broken: -60,
  overMinute: -25,
} as const

/** What the first, second… turn of the peak adds up to, and of a floor block. */
export const PEAK_DOSE = [0, 0.5, 0.78, 0.93, 1, 1.01, 1.02] as const
export const FLOOR_DOSE = [0, 0.4, 0.65, 0.85, 1, 1.1, 1.15] as const

/** Rest that people want after a turn, s (class-craft.md 9). */
export const WANTED_REST_S = 75
/** What has been warmed stays warm so long, s (drills-and-checks.md D). */
export const WARM_FOR_S = 1800
/** Blocks in which everybody is at their own step: the same in two of them is filler, whichever comes first. */
export const OWN_WORK: ReadonlySet<string> = new Set(['skill', 'support', 'peak', 'stay'])
