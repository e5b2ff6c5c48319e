import { limited } from '@/testing/briefs'
import { shippedPractice } from '../practice/library'
import { findById } from '../practice/find'
import { NO_LIMITS } from '../screening/caps'
import { closesSetup } from '../screening/setup-limits'
import { setupChoices } from './setup-choices'

const practice = shippedPractice()
const choices = (id: string, limits = NO_LIMITS) =>
  setupChoices(practice, findById(practice.stages, id), limits)

it('a step may be done with more of a prop than its own setup has, never put up for other limbs', () => {
  expect(choices('FS-02')).toEqual(
    expect.arrayContaining(['SETUP-dolphin-plain', 'SETUP-dolphin-block', 'SETUP-dolphin-strap']),
  )
  for (const stage of practice.stages) {
    const found = choices(stage.id)
    expect([stage.id, found.slice(0, stage.setups.length)]).toEqual([stage.id, stage.setups])
    if ((stage.load.WB ?? 0) > 0 && !stage.load.FB)
      expect([stage.id, found.filter((s) => /forearm|dolphin/.test(s))]).toEqual([stage.id, []])
  }
})

it('nothing that limits close is a choice, whatever limits them', () => {
  let shut = 0
  for (const condition of new Set(practice.cautions.flatMap((c) => c.conditions))) {
    const limits = limited(condition)
    for (const stage of practice.stages) {
      const found = choices(stage.id, limits)
      expect(found.filter((s) => closesSetup(practice, limits, s))).toEqual([])
      shut += choices(stage.id).length - found.length
    }
  }
  expect(shut).toBeGreaterThan(50)
})
