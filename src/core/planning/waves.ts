import { CHANGE_S, OWN_REST_S, TURN_S } from '../classes/craft'
import type { Turn, Version } from '../classes/plan'

export type WavePlan = {
  readonly turns: readonly Turn[]
  readonly sets: number
  readonly turnS: number
  readonly changeS: number
}

/**
 * Who is up when: W = ⌈N ÷ places⌉ waves, cycle W × (turn + change), as many whole sets as fit (class-craft.md 8).
 * Waves are mixed so that each holds experience and a newcomer; every second set runs the other way round, so the
 * same people are not always last.
 * @param versions in any order; they are dealt out by how far along the ladder they are
 * @param seconds length of the block
 * @param rungOf order of a stage on the ladder
 * @param most turns of a person at most: a turn is at least one attempt
 */
export function planWaves(
  versions: readonly Version[],
  bays: number,
  seconds: number,
  startS: number,
  rungOf: (stageId: string) => number,
  most: (studentId: string) => number = () => Infinity,
): WavePlan {
  const waves = mixedWaves(versions, bays, rungOf)
  const cycle = (turn: number, change: number): number =>
    // One wave alone would leave no rest between turns, so the rest is added.
    waves.length === 1 ? turn + Math.max(change, OWN_REST_S) : waves.length * (turn + change)
  const usual = Math.floor(seconds / cycle(TURN_S.usual, CHANGE_S.usual))
  const [turnS, changeS] = usual >= 1 ? [TURN_S.usual, CHANGE_S.usual] : [TURN_S.least, CHANGE_S.least]
  const mostSets = Math.max(0, ...versions.map((v) => most(v.studentId)))
  const sets = Math.min(mostSets, Math.floor(seconds / cycle(turnS, changeS)))
  const each = waves.length === 1 ? cycle(turnS, changeS) : turnS + changeS
  const turns: Turn[] = []
  for (let set = 0; set < sets; set += 1)
    for (let place = 0; place < waves.length; place += 1) {
      const wave = set % 2 === 0 ? place : waves.length - 1 - place
      turns.push({
        set: set + 1,
        wave: wave + 1,
        startS: startS + turns.length * each,
        up: (waves[wave] ?? [])
          .map((studentId, bay) => ({ bay: bay + 1, studentId }))
          // Whoever has had their turns rests while the others go on.
          .filter(({ studentId }) => set < most(studentId)),
      })
    }
  return { turns, sets, turnS, changeS }
}

/** Deals people from both ends of the ladder in turn, so that waves are level. */
function mixedWaves(
  versions: readonly Version[],
  bays: number,
  rungOf: (stageId: string) => number,
): string[][] {
  // Whoever has nothing to do at the wall keeps no bay.
  const sorted = versions
    .filter((v) => v.stageId !== null)
    .sort((a, b) => rungOf(a.stageId ?? '') - rungOf(b.stageId ?? '') || (a.studentId < b.studentId ? -1 : 1))
  const dealt: Version[] = []
  while (sorted.length > 0) {
    const next = dealt.length % 2 === 0 ? sorted.shift() : sorted.pop()
    if (next) dealt.push(next)
  }
  const waves: string[][] = []
  for (let i = 0; i < dealt.length; i += bays) waves.push(dealt.slice(i, i + bays).map((v) => v.studentId))
  return waves
}
