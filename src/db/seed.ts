import type { DemoWorld } from '@/core/simulate/demo'
import { saveAssistant } from './assistants'
import { addDropIn, markAttended } from './attendance'
import { addClass } from './classes'
import { appendAttempt, appendObservation, appendPlacement } from './evidence'
import { saveGroup } from './groups'
import { addCheckIn, addClearance, addScreening } from './health'
import type { HealthKey } from './health-codec'
import { saveProp } from './inventory'
import type { Db } from './open'
import { addStudents, saveProfile } from './students'
import { saveStudio } from './studio'

/** Writes the demo world into an empty database in one transaction; health words only where there is a key. */
export function seedDemo(db: Db, world: DemoWorld, asOf: string, key: HealthKey | null): void {
  db.transaction((tx) => {
    let deviceSeq = 0
    const origin = (): { deviceId: string; deviceSeq: number } => ({
      deviceId: 'demo-seed',
      deviceSeq: (deviceSeq += 1),
    })
    saveStudio(tx, { ...world.studio, units: 'cm', demoAsOf: asOf })
    for (const item of world.cupboard) saveProp(tx, item)
    for (const person of world.assistants) saveAssistant(tx, person)
    addStudents(tx, world.students, asOf)
    for (const s of world.students) saveProfile(tx, s.id, s, asOf)
    for (const fact of world.observations) appendObservation(tx, fact, origin())
    for (const fact of world.attempts) appendAttempt(tx, fact, origin())
    for (const fact of world.placements) appendPlacement(tx, fact, origin())
    for (const group of world.groups) saveGroup(tx, group)
    for (const { attended, dropIns, ...c } of world.classes) {
      addClass(tx, { ...c, roster: c.roster.filter((id) => !dropIns.includes(id)) })
      for (const id of dropIns) addDropIn(tx, c.id, id)
      for (const [id, state] of Object.entries(attended)) markAttended(tx, c.id, id, state)
    }
    if (key) seedHealth(tx, world, asOf, key)
  })
}

function seedHealth(db: Db, world: DemoWorld, asOf: string, key: HealthKey): void {
  for (const { id, studentId, day, ...said } of world.said)
    addScreening(db, key, { id, studentId, day }, said)
  for (const { id, studentId, clearance } of world.clearances)
    addClearance(db, key, { id, studentId, day: clearance.day }, clearance)
  for (const { id, studentId, checkIn } of world.checkIns)
    addCheckIn(db, key, { id, studentId, day: asOf }, checkIn, asOf)
}
