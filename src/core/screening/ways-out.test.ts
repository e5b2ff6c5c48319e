import fc from 'fast-check'
import { shippedPractice } from '../practice/library'
import { LOAD_TAGS } from '../practice/schema'
import type { Limit } from './caps'
import { closes } from './caps'
import { waysOut } from './ways-out'

const practice = shippedPractice()
const limit = (tag: Limit['tag'], level: Limit['level'], action: Limit['action'] = 'avoid'): Limit => ({
  ...{ tag, level, action, mostSeconds: null, instead: '', change: null, needsClearance: false },
})
const names = (stageId: string, ...caps: Limit[]): string[] => {
  const stage = practice.stages.find((s) => s.id === stageId)
  return stage ? waysOut(practice, stage, { caps }).map((e) => e.name) : []
}

it('a neck that nothing may lie on is led out by no roll', () => {
  expect(names('HD-10')).toEqual(['Tuck down', 'Tucked roll'])
  expect(names('HD-10', limit('NF', 2))).toEqual(['Tuck down'])
  // What is only changed or watched closes nothing.
  expect(names('HD-10', limit('NF', 1, 'modify'), limit('NF', 2, 'watch'))).toHaveLength(2)
  expect(names('HD-10', limit('NF', 3))).toHaveLength(2)
})

it('whatever limits leave open may also be left', () => {
  const some = fc.array(
    fc.tuple(
      fc.constantFrom(...LOAD_TAGS),
      fc.constantFrom(1, 2, 3),
      fc.constantFrom('stop', 'avoid', 'modify'),
    ),
    { maxLength: 5 },
  )
  fc.assert(
    fc.property(some, (drawn) => {
      const caps = drawn.map(([tag, level, action]) => limit(tag, level, action as Limit['action']))
      for (const stage of practice.stages.filter(({ load }) => !closes({ caps }, load))) {
        const ways = waysOut(practice, stage, { caps })
        expect([stage.id, ways.length > 0]).toEqual([stage.id, true])
        expect(ways.filter(({ load }) => closes({ caps }, load))).toEqual([])
      }
    }),
  )
})
