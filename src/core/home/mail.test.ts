import fc from 'fast-check'
import { addDays } from '../day'
import { messagesOf, type MailLink } from './mail'

const TODAY = '2026-03-10'
const link = (part: Partial<MailLink> = {}): MailLink => ({
  ...{ studentId: 'w', made: '2026-03-06', expires: '2026-04-03', revoked: false },
  ...part,
})

it('the link goes out when it is made, a word the evening before each session', () => {
  const days = ['2026-03-08', '2026-03-11', '2026-03-14']
  expect(messagesOf([link()], () => days, TODAY)).toEqual([
    { studentId: 'w', kind: 'reminder', day: '2026-03-13', session: '2026-03-14', state: 'to-come' },
    { studentId: 'w', kind: 'reminder', day: '2026-03-10', session: '2026-03-11', state: 'sent' },
    { studentId: 'w', kind: 'reminder', day: '2026-03-07', session: '2026-03-08', state: 'sent' },
    { studentId: 'w', kind: 'link', day: '2026-03-06', session: null, state: 'sent' },
  ])
})

it('whoever’s link has ended, or who has nothing open, is not reminded', () => {
  const days = ['2026-03-11']
  expect(messagesOf([link({ revoked: true })], () => days, TODAY).map((m) => m.kind)).toEqual(['link'])
  expect(messagesOf([link({ expires: '2026-03-10' })], () => days, TODAY).map((m) => m.kind)).toEqual([
    'link',
  ])
  expect(messagesOf([link()], () => [], TODAY).map((m) => m.kind)).toEqual(['link'])
})

it('nothing goes out before its link, past it, or out of the weeks shown', () => {
  const day = fc.integer({ min: -40, max: 40 }).map((n) => addDays(TODAY, n))
  fc.assert(
    fc.property(
      fc.array(fc.tuple(day, fc.integer({ min: 1, max: 30 }), fc.boolean())),
      fc.array(day),
      (made, sessions) => {
        const links = made.map(([from, n, revoked], i) =>
          link({ studentId: `s${i}`, made: from, expires: addDays(from, n), revoked }),
        )
        const all = messagesOf(links, () => sessions, TODAY)
        for (const { studentId, day: on, session, state } of all) {
          const own = links.find((l) => l.studentId === studentId)!
          expect(on >= own.made && (session ?? own.made) <= own.expires).toBe(true)
          expect(on >= addDays(TODAY, -14) && on <= addDays(TODAY, 7)).toBe(true)
          expect(state === 'sent').toBe(on <= TODAY)
          if (session !== null) expect([own.revoked, on]).toEqual([false, addDays(session, -1)])
        }
        expect(all.map((m) => m.day)).toEqual(
          all
            .map((m) => m.day)
            .toSorted()
            .toReversed(),
        )
      },
    ),
  )
})
