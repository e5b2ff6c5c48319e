import { mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { did, saw } from '@/testing/evidence'
import { brief, person, planOf } from '@/testing/briefs'
import { addClass } from './classes'
import { eraseStudent } from './erase'
import { appendAttempt, appendDrill, appendNote, appendObservation } from './evidence'
import { makeHealthKey } from './health-codec'
import { openDb, settle } from './open'
import { addPlan, planOf as storedPlan } from './plans'
import { HOME } from './scope'
import { addStudents } from './students'

const DAY = '2026-03-10'
const ids = [1, 2, 3].map((i) => person(i).studentId)
const origin = { deviceId: 'd', deviceSeq: 1 }

function planned(keyed = true) {
  const folder = mkdtempSync(path.join(tmpdir(), 'levitar-erase-'))
  const scope = { db: openDb(path.join(folder, 'levitar.sqlite')), studioId: HOME }
  addStudents(
    scope,
    ids.map((id) => ({ id, name: `Planted ${id}` })),
    DAY,
  )
  const made = brief({ people: [1, 2, 3].map((i) => person(i)) })
  const row = { id: 'c', title: 'T', day: DAY, startTime: '18:30', minutes: 30, bays: 2, roster: ids }
  addClass(scope, row)
  const key = makeHealthKey(path.join(folder, 'keys', 'health.key'))
  addPlan(
    scope,
    keyed ? key : null,
    { id: 'p', classId: 'c', madeMs: 1 },
    { plan: planOf(made), brief: made },
  )
  return { folder, scope, key }
}

it('takes somebody out of every brief, and leaves its plan its shape under an id of nobody', () => {
  const { folder, scope, key } = planned()
  expect(eraseStudent(scope, key, 'p1', 'nobody')).toEqual({ plans: 1, decisions: 0, incidents: 0 })
  const stored = storedPlan(scope, key, 'c')
  expect(stored?.brief?.people.map((p) => p.studentId)).toEqual(['p2', 'p3'])
  expect(JSON.stringify(stored?.plan)).toContain('nobody')
  expect(JSON.stringify(stored)).not.toContain('"p1"')
  settle(scope.db)
  for (const file of readdirSync(folder).filter((f) => f.startsWith('levitar.sqlite')))
    expect(readFileSync(path.join(folder, file)).includes('Planted p1')).toBe(false)
  rmSync(folder, { recursive: true })
})

it('lets a brief go that nobody can open any more: it may hold anybody', () => {
  const { folder, scope, key } = planned()
  const before = storedPlan(scope, key, 'c')?.plan.blocks.length ?? 0
  eraseStudent(scope, null, 'p1', 'nobody')
  expect(storedPlan(scope, key, 'c')?.brief).toBeNull()
  expect(storedPlan(scope, key, 'c')?.plan.blocks).toHaveLength(before)
  rmSync(folder, { recursive: true })
})

it('without a key a plan is kept and its limits are not', () => {
  const { folder, scope, key } = planned(false)
  expect(storedPlan(scope, key, 'c')).toMatchObject({ brief: null, plan: { minutes: 60 } })
  rmSync(folder, { recursive: true })
})

it('removes thousands of corrected results in the time of a breath', () => {
  const { folder, scope, key } = planned()
  scope.db.transaction((db) => {
    const within = { ...scope, db }
    for (let n = 0; n < 6000; n += 1)
      appendObservation(
        within,
        { ...saw('CK-dolphin-hold', 30), id: `o${n}`, studentId: ids[n % 3] ?? '' },
        origin,
      )
    appendAttempt(within, { ...did('FS-02'), studentId: 'p1' }, origin)
    const fact = { day: DAY, hlc: '1', replaces: null, withdrawn: false, studentId: 'p1' }
    appendDrill(within, { ...fact, id: 'd', drillId: 'DR-x', classId: 'c', amount: null }, origin)
    appendNote(within, { ...fact, id: 'n', classId: 'c', text: 'a word' }, origin)
  })
  const began = performance.now()
  eraseStudent(scope, key, 'p1', 'nobody')
  // Without an index on what each row replaces this takes a scan of the table a row.
  expect(performance.now() - began).toBeLessThan(1500)
  rmSync(folder, { recursive: true })
})
