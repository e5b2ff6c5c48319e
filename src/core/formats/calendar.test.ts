import ICAL from 'ical.js'
import { writeCalendar } from './calendar'

const dated = (day: string, title = 'Tuesday; upside down, slowly') => ({
  ...{ id: `class-${day}`, title, day, startTime: '18:30', minutes: 75, note: 'Forearm stand\nBring a belt' },
})
const read = (text: string) =>
  new ICAL.Component(ICAL.parse(text) as unknown[])
    .getAllSubcomponents('vevent')
    .map((event) => new ICAL.Event(event))

it('another reader finds the same title, note and length, commas and line breaks and all', () => {
  const [event] = read(writeCalendar('Classes', [dated('2026-03-10')], 'Europe/London', 0))
  expect(event?.summary).toBe('Tuesday; upside down, slowly')
  expect(event?.description).toBe('Forearm stand\nBring a belt')
  expect(event?.uid).toBe('class-2026-03-10')
  expect(event?.duration.toSeconds()).toBe(75 * 60)
})

it('half past six stays half past six on both sides of a change of the clocks', () => {
  const days = ['2026-03-24', '2026-03-31', '2026-10-20', '2026-10-27']
  const events = read(
    writeCalendar(
      'Classes',
      days.map((d) => dated(d)),
      'Europe/London',
      0,
    ),
  )
  expect(events.map((e) => e.startDate.toJSDate().toISOString())).toEqual([
    '2026-03-24T18:30:00.000Z',
    '2026-03-31T17:30:00.000Z',
    '2026-10-20T17:30:00.000Z',
    '2026-10-27T18:30:00.000Z',
  ])
})

it('the same class gives the same bytes, and no line is longer than the format allows', () => {
  const long = [dated('2026-03-10', 'A title that goes on and on '.repeat(8))]
  const text = writeCalendar('Classes', long, 'Europe/London', 1000)
  expect(writeCalendar('Classes', long, 'Europe/London', 1000)).toBe(text)
  for (const line of text.split('\r\n')) expect(Buffer.byteLength(line)).toBeLessThanOrEqual(75)
})
