// A studio of ten years in a data folder of its own, to measure pages on: `tsx scripts/studio-seed.ts FOLDER DAY`.
import { DEMO_ROOM } from '@/core/simulate/demo-room'
import { classesOfYears, peopleOfYears } from '@/core/simulate/ten-years'
import { shippedPractice } from '@/core/practice/library'
import { appendAttendance } from '@/db/attendance'
import { addClass, appendClassEvent } from '@/db/classes'
import { appendAttempt, appendObservation } from '@/db/evidence'
import { addScreening } from '@/db/health'
import { keyOf } from '@/db/health-key'
import { databaseFile, openDb } from '@/db/open'
import { HOME } from '@/db/scope'
import { addStudents, saveProfile } from '@/db/students'
import { saveStudio } from '@/db/studio'

const [folder = '', day = '2026-03-10'] = process.argv.slice(2)
const practice = shippedPractice()
const scope = { db: openDb(databaseFile(folder)), studioId: HOME }
const { key } = keyOf(scope, folder, null)
const counted = { classes: 0, results: 0, tries: 0 }
let deviceSeq = 0
const origin = () => ({ deviceId: 'years', deviceSeq: (deviceSeq += 1) })

scope.db.transaction((db) => {
  const within = { ...scope, db }
  saveStudio(within, { name: 'The Long Room', teacher: 'Ottoline Marsh', room: DEMO_ROOM })
  const people = peopleOfYears(practice, day)
  for (const { id, name, joined, answers } of people) {
    addStudents(within, [{ id, name }], joined)
    saveProfile(within, id, { name, statureCm: 168, breathS: 5, measured: { upperArm: 31 } }, joined)
    if (key)
      addScreening(
        within,
        key,
        { id: `${id} said`, studentId: id, day: answers[0]?.day ?? day },
        { answers: [...answers], nothingApplies: null, gentle: null },
      )
  }
  for (const { observations, attempts, ...c } of classesOfYears(practice, people, day)) {
    addClass(within, { ...c, minutes: 75, bays: 5 })
    for (const fact of observations) appendObservation(within, fact, origin())
    for (const fact of attempts) appendAttempt(within, fact, origin())
    counted.classes += 1
    counted.results += observations.length
    counted.tries += attempts.length
    if (c.day >= day) continue
    for (const studentId of c.roster)
      appendAttendance(
        within,
        { id: `${c.id} ${studentId}`, day: c.day, hlc: '', classId: c.id, studentId, mark: 'here' },
        origin(),
      )
    const event = { day: c.day, classId: c.id, atMs: 1, blockIndex: 0 }
    appendClassEvent(within, { ...event, id: `${c.id} 1`, hlc: '1', event: 'started' }, origin())
    appendClassEvent(within, { ...event, id: `${c.id} 2`, hlc: '2', event: 'ended' }, origin())
  }
})
console.log(JSON.stringify(counted))
