import type { Brief } from '../../classes/brief'
import type { Plan } from '../../classes/plan'
import type { Violation } from './violation'

/** Blocks follow each other and end in time. */
export function timing(plan: Plan, allowedS: number): Violation[] {
  const found: Violation[] = []
  let end = 0
  for (const block of plan.blocks) {
    if (block.startS < end) found.push({ code: 'blocks-overlap', atS: block.startS })
    end = block.startS + block.seconds
  }
  if (end > allowedS) found.push({ code: 'over-time', plannedS: end, allowedS })
  return found
}

/** One person a bay, in bays that there are, nobody twice, within the block. */
export function bayUse(plan: Plan, bays: number): Violation[] {
  return plan.blocks.flatMap((block) => {
    if (block.kind !== 'waves') return []
    const endS = block.startS + block.seconds
    return block.turns.flatMap(({ startS, up }) => {
      const found: Violation[] = []
      const taken = new Set<number>()
      const people = new Set<string>()
      for (const { bay, studentId } of up) {
        if (bay < 1 || bay > bays) found.push({ code: 'bay-missing', atS: startS, bay, bays })
        if (taken.has(bay)) found.push({ code: 'bay-shared', atS: startS, bay })
        if (people.has(studentId)) found.push({ code: 'twice-at-once', atS: startS, studentId })
        taken.add(bay)
        people.add(studentId)
      }
      if (startS + block.turnS > endS)
        found.push({ code: 'over-time', plannedS: startS + block.turnS, allowedS: endS })
      return found
    })
  })
}

/** A turn at the wall is an attempt: nobody takes more than their own cap, or than a limit leaves of it. */
export function turnsKept({ people }: Brief, plan: Plan): Violation[] {
  return people.flatMap((person): Violation[] => {
    let turns = 0
    let share = 1
    for (const block of plan.blocks) {
      if (block.kind !== 'waves') continue
      for (const turn of block.turns) turns += turn.up.filter((u) => u.studentId === person.studentId).length
      const own = block.versions.find((v) => v.studentId === person.studentId)
      for (const limit of person.limits)
        if (own?.change?.words.includes(limit.change?.words ?? ''))
          share = Math.min(share, limit.change?.share ?? 1)
    }
    const most = Math.floor(person.mostAttempts * share)
    return turns > most ? [{ code: 'too-many-attempts', studentId: person.studentId, turns, most }] : []
  })
}

/** Everyone on the list has something to do. */
export function everybodyIn(brief: Brief, plan: Plan): Violation[] {
  const inSkill = new Set<string>()
  for (const block of plan.blocks)
    if (block.kind === 'skill') for (const { studentId } of block.versions) inSkill.add(studentId)
  return brief.people
    .filter((p) => !inSkill.has(p.studentId))
    .map((p) => ({ code: 'left-out' as const, studentId: p.studentId }))
}
