import type { DemoWorld } from '@/core/simulate/demo'
import { addClass } from './classes'
import { appendAttempt, appendObservation, appendPlacement } from './evidence'
import type { Db } from './open'
import { addStudents, saveProfile } from './students'
import { saveStudio } from './studio'

/** Writes the demo world into an empty database in one transaction. */
export function seedDemo(db: Db, world: DemoWorld, asOf: string): void {
  db.transaction((tx) => {
    let deviceSeq = 0
    const origin = (): { deviceId: string; deviceSeq: number } => ({
      deviceId: 'demo-seed',
      deviceSeq: (deviceSeq += 1),
    })
    saveStudio(tx, { ...world.studio, units: 'cm', demoAsOf: asOf })
    addStudents(tx, world.students, asOf)
    for (const s of world.students) saveProfile(tx, s.id, s, asOf)
    for (const fact of world.observations) appendObservation(tx, fact, origin())
    for (const fact of world.attempts) appendAttempt(tx, fact, origin())
    for (const fact of world.placements) appendPlacement(tx, fact, origin())
    for (const c of world.classes) addClass(tx, c)
  })
}
