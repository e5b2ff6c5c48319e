import { writeHlc } from '@/core/facts/hlc'
import type { DemoWorld } from '@/core/simulate/demo'
import { saveAssistant } from './assistants'
import { addDropIn, appendAttendance } from './attendance'
import { addClass } from './classes'
import { appendAttempt, appendDrill, appendObservation, appendPlacement } from './evidence'
import { saveGroup } from './groups'
import { addCheckIn, addClearance, addScreening } from './health'
import type { HealthKey } from './health-codec'
import { saveProp } from './inventory'
import type { Scope } from './scope'
import { addStudents, saveProfile } from './students'
import { saveStudio } from './studio'

const DEVICE = 'demo-seed'

/** Writes the demo world into an empty database in one transaction; health words only where there is a key. */
export function seedDemo(scope: Scope, world: DemoWorld, asOf: string, key: HealthKey | null): void {
  scope.db.transaction((db) => {
    const within = { ...scope, db }
    let deviceSeq = 0
    const origin = (): { deviceId: string; deviceSeq: number } => ({
      deviceId: DEVICE,
      deviceSeq: (deviceSeq += 1),
    })
    saveStudio(within, { ...world.studio, units: 'cm', demoAsOf: asOf })
    for (const item of world.cupboard) saveProp(within, item)
    for (const person of world.assistants) saveAssistant(within, person)
    addStudents(within, world.students, asOf)
    for (const s of world.students) saveProfile(within, s.id, s, asOf)
    for (const fact of world.observations) appendObservation(within, fact, origin())
    for (const fact of world.attempts) appendAttempt(within, fact, origin())
    for (const fact of world.placements) appendPlacement(within, fact, origin())
    for (const group of world.groups) saveGroup(within, group)
    for (const { attended, dropIns, ...c } of world.classes) {
      addClass(within, { ...c, roster: c.roster.filter((id) => !dropIns.includes(id)) })
      for (const id of dropIns) addDropIn(within, c.id, id)
      for (const [studentId, mark] of Object.entries(attended)) {
        const hlc = writeHlc({ ms: Date.parse(`${c.day}T18:20:00Z`), counter: 0 }, DEVICE)
        appendAttendance(
          within,
          { id: `${c.id} ${studentId}`, day: c.day, hlc, classId: c.id, studentId, mark },
          origin(),
        )
      }
    }
    for (const fact of world.drills) appendDrill(within, fact, origin())
    if (key) seedHealth(within, world, asOf, key)
  })
}

function seedHealth(scope: Scope, world: DemoWorld, asOf: string, key: HealthKey): void {
  for (const { id, studentId, day, ...said } of world.said)
    addScreening(scope, key, { id, studentId, day }, said)
  for (const { id, studentId, clearance } of world.clearances)
    addClearance(scope, key, { id, studentId, day: clearance.day }, clearance)
  for (const { id, studentId, checkIn } of world.checkIns)
    addCheckIn(scope, key, { id, studentId, day: asOf }, checkIn, asOf)
}
