import { firstAid, incidentProblem, KINDS, type Incident } from './incident'

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

it('a whole report is kept', () => expect(incidentProblem(whole, when, '2026-03-10')).toBeNull())
it.each([
  [{ happened: ' ' }, {}, 'incident-empty'],
  [{ done: '' }, {}, 'incident-empty'],
  [{ reporter: '' }, {}, 'incident-empty'],
  [{}, { day: '2026-03-11' }, 'incident-in-the-future'],
  [{}, { time: '7 pm' }, 'incident-time'],
])('%p %p is refused as %s', (part, at, code) =>
  expect(incidentProblem({ ...whole, ...part }, { ...when, ...at }, '2026-03-10')?.code).toBe(code),
)
it('says what to do first for everything that can happen', () => {
  for (const kind of KINDS) expect(firstAid(kind).length).toBeGreaterThan(0)
  expect(firstAid('fall-head-neck')[0]).toMatch(/not move/)
})
