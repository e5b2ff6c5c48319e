import fc from 'fast-check'
import type { Override } from '../practice/override'
import { describePracticeFile } from '../words/own-practice'
import { laidOver, MOST_PRACTICE_CHARS, readPracticeFile, writePracticeFile } from './practice-file'

const DAY = '2026-03-10'
const ENTRIES: Override[] = [
  { kind: 'stage', id: 'FS-05', fields: { 'gate.CK-dolphin-hold': 40, cue: 'Ears away from the arms.' } },
  { kind: 'drill', id: 'DR-own-1', fields: { name: 'Long boat', base: 'DR-hollow', 'dose.reps': 4 } },
]
const FILE = writePracticeFile(ENTRIES, DAY)

it('is read back as it was, and the same practice is the same file', () => {
  const read = readPracticeFile(FILE)
  expect(read.ok && [...read.value]).toEqual([ENTRIES[1], ENTRIES[0]])
  const turned = ENTRIES.toReversed().map((o) => ({
    ...o,
    fields: Object.fromEntries(Object.entries(o.fields).toReversed()),
  }))
  expect(writePracticeFile(turned, DAY)).toBe(FILE)
})

it('laid over a studio, is the file’s where it speaks and the studio’s where it does not, and again changes nothing', () => {
  const kept: Override = { kind: 'check', id: 'CK-hollow', fields: { name: 'Boat hold' } }
  const other: Override = { ...ENTRIES[0]!, fields: { cue: 'Long neck.' } }
  const first = laidOver([kept, other, ENTRIES[1]!], ENTRIES)
  expect([first.fresh, first.known]).toEqual([[ENTRIES[0]], 1])
  expect(new Set(first.all)).toEqual(new Set([kept, ...ENTRIES]))
  expect(laidOver(first.all, ENTRIES)).toMatchObject({ fresh: [], known: 2 })
})

it('refuses what is no such file, each with its sentence', () => {
  const codeOf = (text: string): string => {
    const read = readPracticeFile(text)
    if (read.ok) return 'read'
    expect(describePracticeFile(read.refusal)).toMatch(/^That file .+\.$|^That is .+\.$/)
    return read.refusal.code
  }
  expect(codeOf('name,day')).toBe('not-json')
  expect(codeOf('null')).toBe('other-file')
  expect(codeOf('{"format":"levitar-plan","version":1}')).toBe('other-file')
  expect(codeOf(FILE.replace('"version": 1', '"version": 2'))).toBe('newer')
  expect(codeOf(FILE.replace('"DR-own-1"', '7'))).toBe('damaged')
  expect(codeOf(FILE.replace('"drill"', '"caution"'))).toBe('damaged')
  expect(codeOf(writePracticeFile([...ENTRIES, ENTRIES[0]!], DAY))).toBe('twice')
  expect(codeOf(' '.repeat(MOST_PRACTICE_CHARS + 1))).toBe('too-large')
})

it('comes through any damage as a refusal or as entries of the right shape, and never throws', () => {
  fc.assert(
    fc.property(
      fc.nat(FILE.length - 1),
      fc.integer({ min: 0, max: 40 }),
      fc.string({ maxLength: 6 }),
      (at, cut, put) => {
        const read = readPracticeFile(FILE.slice(0, at) + put + FILE.slice(at + cut))
        if (read.ok) {
          const again = readPracticeFile(writePracticeFile(read.value, DAY))
          expect(again.ok && new Set(again.value)).toEqual(new Set(read.value))
        }
      },
    ),
    { numRuns: 300 },
  )
})
