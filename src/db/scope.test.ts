import { saw } from '@/testing/evidence'
import { listAssistants, saveAssistant } from './assistants'
import { readApproaches, chooseApproach } from './approaches'
import { rosterOf, addDropIn } from './attendance'
import { addClass, classLines, findClass, nextClass } from './classes'
import { appendObservation, evidenceOf, evidenceOfMany } from './evidence'
import { listGroups, saveGroup } from './groups'
import { readHealthOf } from './health'
import { listIncidents } from './incidents'
import { listProps, saveProp } from './inventory'
import { openDb } from './open'
import { allWeighings, addWeighing, savedSetupsOf, saveSetup } from './setups'
import { addStudents, findStudent, listNames, listStudents } from './students'

const DAY = '2026-03-10'
const db = openDb(':memory:')
const [mine, theirs] = [
  { db, studioId: 'home' },
  { db, studioId: 'another' },
]

beforeAll(() => {
  addStudents(theirs, [{ id: 's', name: 'Of another studio' }], DAY)
  addClass(theirs, { id: 'c', title: 'T', day: DAY, startTime: '18:30', minutes: 30, bays: 2, roster: ['s'] })
  addDropIn(theirs, 'c', 's')
  appendObservation(
    theirs,
    { ...saw('CK-dolphin-hold', 30), studentId: 's' },
    { deviceId: 'd', deviceSeq: 1 },
  )
  saveAssistant(theirs, { id: 'a', name: 'Bram', trained: [], restsUntil: null })
  saveGroup(theirs, { id: 'g', name: 'G', weekday: 2, startTime: '18:30', minutes: 60, members: ['s'] })
  saveProp(theirs, {
    id: 'p',
    shape: 'chair',
    localName: '',
    sizeCm: null,
    count: 2,
    condition: 'sound',
    checkedDay: null,
  })
  chooseApproach(theirs, { scope: 'teacher', scopeId: '', approach: 'A01' }, 'wall', DAY)
  saveSetup(theirs, { id: 'u', studentId: 's', setupId: 'SETUP-x', options: {}, day: DAY })
  addWeighing(theirs, { id: 'w', studentId: 's', shapeId: 'x', share: 0.5, day: DAY })
})

const READS: Readonly<Record<string, (scope: typeof mine) => number>> = {
  students: (scope) => listStudents(scope, { archived: true }).length + listNames(scope).length,
  'one student': (scope) => Number(findStudent(scope, 's') !== null),
  classes: (scope) => classLines(scope).lines.length + Number(nextClass(scope, DAY) !== null),
  'one class': (scope) => Number(findClass(scope, 'c') !== null),
  roster: (scope) => rosterOf(scope, 'c').length,
  facts: (scope) => evidenceOf(scope, 's').observations.length,
  'facts of many': (scope) => evidenceOfMany(scope, ['s']).get('s')?.observations.length ?? 0,
  assistants: (scope) => listAssistants(scope).length,
  groups: (scope) => listGroups(scope).length,
  props: (scope) => listProps(scope).length,
  approaches: (scope) => Object.keys(readApproaches(scope).of('teacher', '')).length,
  'saved setups': (scope) => savedSetupsOf(scope, 's').length,
  weighings: (scope) => allWeighings(scope).length,
  health: (scope) => readHealthOf(scope, null, ['s']).size,
  incidents: (scope) => listIncidents(scope, null).length,
}
const EMPTY = ['health', 'incidents']

it.each(Object.keys(READS))('%s of another studio are not read', (name) => {
  expect(READS[name]?.(mine)).toBe(0)
  if (!EMPTY.includes(name)) expect(READS[name]?.(theirs)).toBeGreaterThan(0)
})
