import { readdirSync, readFileSync, statSync } from 'node:fs'
import path from 'node:path'
import fc from 'fast-check'
import { limited } from '@/testing/briefs'
import { shippedPractice } from '../practice/library'
import { isOpenTo, may, NO_CLOCK } from './may'

const practice = shippedPractice()
const things = [...practice.stages, ...practice.drills, ...practice.counterposes, ...practice.exits]
const conditions = [...new Set(practice.cautions.flatMap((c) => c.conditions))]

describe('may this person do this, how, for how long', () => {
  it('follows the practice’s rules, read one by one', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...things),
        fc.subarray(conditions, { maxLength: 3 }),
        fc.constantFrom(0, 0.4, 1),
        fc.boolean(),
        ({ load }, set, at, answered) => {
          const caps = { ...limited(...set), answered }
          const acting = caps.caps.filter(
            (c) => (load[c.tag] ?? 0) >= c.level || c.refer === 'urgent' || c.refer === 'home',
          )
          const cannot = (how: string | undefined) => load.cannot?.some((x) => x === how) === true
          const closed =
            acting.some(
              (c) =>
                c.action === 'stop' || c.action === 'avoid' || c.refer === 'urgent' || c.refer === 'home',
            ) ||
            acting.some((c) => c.action === 'modify' && cannot(c.change?.how)) ||
            (!answered &&
              ((load.HBH ?? 0) >= 3 || (load.FR ?? 0) >= 2 || (load.HB ?? 0) >= 2 || (load.NF ?? 0) >= 2)) ||
            acting.some((c) => c.action === 'modify' && (c.change?.notBefore ?? 0) > at)
          const { open, change } = may(load, caps, at)
          expect(open).toBe(!closed)
          if (!open) return
          const seconds = acting.flatMap((c) => (c.mostSeconds === null ? [] : [c.mostSeconds]))
          expect(change?.mostSeconds ?? null).toBe(seconds.length > 0 ? Math.min(...seconds) : null)
        },
      ),
      { numRuns: 3000 },
    )
  })
  it('opens nothing earlier that is closed later, and nothing without a clock that is closed at its start', () => {
    for (const condition of conditions)
      for (const { load } of things) {
        const caps = limited(condition)
        const at = [NO_CLOCK, 0.3, 0.6, 1].map((share) => isOpenTo(caps, load, share))
        expect(at).toEqual(at.toSorted((a, b) => Number(a) - Number(b)))
      }
  })
  it('is what every list asks: nothing else reads a limit to decide', () => {
    const root = path.join(process.cwd(), 'src')
    const files = (dir: string): string[] =>
      readdirSync(dir).flatMap((name) => {
        const at = path.join(dir, name)
        return statSync(at).isDirectory()
          ? files(at)
          : /\.tsx?$/.test(name) && !/\.test\./.test(name)
            ? [at]
            : []
      })
    const asks = (word: RegExp) =>
      files(root)
        .filter((file) => word.test(readFileSync(file, 'utf8')))
        .map((file) => path.relative(root, file))
        .filter((file) => !/^core\/(screening|planning\/check)\//.test(file))
    expect(asks(/\bjudgeLoad\(/)).toEqual(['core/classes/change.ts', 'features/desk/limit-words.ts'])
    // Ways out are told, not dealt: `waysOut` and what a rehearsal is worth.
    expect(asks(/\bcloses\(/)).toEqual(['core/readiness/may.ts', 'core/readiness/way-out.ts'])
    expect(asks(/\bisTooEarly\(/)).toEqual(['core/classes/change.ts', 'core/planning/now.ts'])
  })
})
