import { shippedPractice } from '../practice/library'
import { LEVELS, levelIn, remarkIn, startingRungs } from './by-level'

const practice = shippedPractice()
const stageOf = (id: string) => practice.stages.find((s) => s.id === id)!

describe('one line about somebody', () => {
  it.each<[string[], string | null, string]>([
    [['Advanced'], 'practised', ''],
    [['advanced, does crow'], 'practised', 'advanced, does crow'],
    [['advanced', 'does crow'], 'practised', 'does crow'],
    [['Some experience'], 'some', ''],
    [['some neck pain'], null, 'some neck pain'],
    [['new knee'], null, 'new knee'],
    [['not advanced'], null, 'not advanced'],
    [['beginner', 'advanced'], null, 'beginner, advanced'],
    [['all levels'], null, 'all levels'],
    [['constructor'], null, 'constructor'],
    [[], null, ''],
  ])('%j is the level %j and the remark %j', (words, level, remark) => {
    expect([levelIn(words), remarkIn(words)]).toEqual([level, remark])
  })
  it('places nobody on a fall, on the head or on the nape, one rung a family at most, and the more said the further', () => {
    const [none = [], some = [], practised = []] = LEVELS.map((level) => startingRungs(practice, level))
    expect(none).toEqual([])
    for (const ids of [some, practised]) {
      const stages = ids.map(stageOf)
      expect(new Set(stages.map((s) => s.family)).size).toBe(stages.length)
      for (const { load } of stages) {
        expect(load.FR ?? 0).toBeLessThanOrEqual(1)
        expect(load.HB ?? 0).toBe(0)
        expect(load.NF ?? 0).toBeLessThanOrEqual(1)
      }
    }
    // By the tables: a forearm plank and a dolphin, a short down dog, a loaded squat; all families have somewhere to begin.
    expect(some).toEqual(expect.arrayContaining(['FS-02', 'HS-03', 'CR-01']))
    expect(practised).toEqual(expect.arrayContaining(['FS-03c', 'HS-03', 'SH-06', 'PU-04']))
    expect(some.map((id) => stageOf(id).family)).toEqual(practised.map((id) => stageOf(id).family))
    for (const [i, id] of some.entries())
      expect(stageOf(id).rung <= stageOf(practised[i] ?? '').rung).toBe(true)
  })
})
