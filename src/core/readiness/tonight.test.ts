import fc from 'fast-check'
import { saidTonight, TODAY } from '@/testing/evidence'
import { shippedPractice } from '../practice/library'
import { NO_LIMITS } from '../screening/caps'
import { tonightsCaps, type CheckIn } from '../screening/tonight'
import { withPredecessors } from './ladder'
import { tonightsCeiling } from './tonight'

const practice = shippedPractice()

describe('tonight', () => {
  const held = [...withPredecessors(practice.stages, 'FS-09')]
  const reach = { standingId: 'FS-09', targetId: 'FS-10a', outcome: 'near' as const, held }
  const ceiling = (part: Partial<CheckIn>) =>
    tonightsCeiling(practice, reach, NO_LIMITS, tonightsCaps(practice, saidTonight(part), TODAY))
  it('lowers what is offered now and leaves the standing', () => {
    expect(ceiling({})).toEqual({ stageId: 'FS-09', usualId: 'FS-09', lowered: false })
    expect(ceiling({ arms: 6 })).toEqual({ stageId: 'FS-06', usualId: 'FS-09', lowered: true })
    expect(ceiling({ pain: 5, regions: ['shoulder'] })).toMatchObject({ lowered: true, usualId: 'FS-09' })
    expect(ceiling({ pain: 8 })).toMatchObject({ stageId: null, lowered: true })
  })
  it('never raises it, whatever was ticked', () => {
    fc.assert(
      fc.property(
        fc.nat(10),
        fc.nat(10),
        fc.nat(10),
        fc.constantFrom<CheckIn['look']>('watch', 'half', 'whole'),
        (pain, energy, arms, look) => {
          const { stageId } = ceiling({ pain, energy, arms, look, regions: ['neck', 'wrist'] })
          const order = practice.stages.map((s) => s.id)
          expect(order.indexOf(stageId ?? '')).toBeLessThanOrEqual(order.indexOf('FS-09'))
        },
      ),
    )
  })
})
