import { classThen, firstAid, incidentProblem, KINDS, stillToTell, TOLD, type Incident } from './incident'

const whole: Incident = {
  kind: 'fall',
  stageId: null,
  setupId: null,
  happened: 'Rolled out of a kick to the left.',
  done: 'Sat out, cold pack.',
  told: ['studio'],
  witnesses: '',
  reporter: 'Ottoline Marsh',
}
const when = { day: '2026-03-10', time: '18:50' }

it('a whole report is kept', () => expect(incidentProblem(whole, when, '2026-03-10', '18:50')).toBeNull())
it.each([
  [{ happened: ' ' }, {}, 'incident-empty'],
  [{ done: '' }, {}, 'incident-empty'],
  [{ reporter: '' }, {}, 'incident-empty'],
  [{}, { day: '2026-03-11' }, 'incident-in-the-future'],
  [{}, { time: '7 pm' }, 'incident-time'],
  [{}, { time: '18:51' }, 'incident-later'],
])('%p %p is refused as %s', (part, at, code) =>
  expect(incidentProblem({ ...whole, ...part }, { ...when, ...at }, '2026-03-10', '18:50')?.code).toBe(code),
)
it('says what to do first for everything that can happen', () => {
  for (const kind of KINDS) expect(firstAid(kind).length).toBeGreaterThan(0)
  expect(firstAid('fall-head-neck')[0]).toMatch(/not move/)
})

it('a later hour of an earlier day is no news from the future', () =>
  expect(incidentProblem(whole, { day: '2026-03-09', time: '23:00' }, '2026-03-10', '06:00')).toBeNull())
it('knows who has still to be told, a guardian of the young among them, and nobody twice', () => {
  expect(stillToTell({ kind: 'fall-head-neck', told: ['emergency'] }, false)).toEqual([
    'emergency-contact',
    'studio',
    'insurer',
  ])
  for (const kind of KINDS) {
    expect(stillToTell({ kind, told: [] }, true)).toContain('guardian')
    expect(stillToTell({ kind, told: [] }, false)).not.toContain('guardian')
    expect(stillToTell({ kind, told: TOLD }, true)).toEqual([])
  }
})
it('finds the class that ran then, with the minutes around it, and the later of two', () => {
  const ran = (id: string, startTime: string, minutes = 60, day = '2026-03-10') => ({
    id,
    day,
    startTime,
    minutes,
  })
  const all = [ran('a', '17:30'), ran('b', '18:30'), ran('c', '18:30', 60, '2026-03-09')]
  const at = (time: string, day = '2026-03-10') => classThen(all, day, time)?.id ?? null
  expect([at('17:09'), at('17:10'), at('18:10'), at('18:40'), at('19:50'), at('19:51')]).toEqual([
    null,
    'a',
    'b',
    'b',
    'b',
    null,
  ])
  expect([at('18:40', '2026-03-09'), at('18:40', '2026-03-08'), at('soon')]).toEqual(['c', null, null])
})
