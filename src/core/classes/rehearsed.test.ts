import { USUAL_AIM } from './aim'
import { isWork } from './plan'
import { shippedPractice } from '../practice/library'
import { FAMILIES } from '../practice/schema'
import { validatePlan } from '../planning/check/validate'
import { NO_LIMITS } from '../screening/caps'
import { brief, limited, person, planOf } from '@/testing/briefs'
import { rehearsedWays } from './rehearsed'

const practice = shippedPractice()
const HOPS = ['DR-vertical-bounce', 'DR-low-hop', 'DR-dolphin-hop', 'DR-tuck-hop']

/** Four people who hold a step, in a class about its family. */
function classAt(standingId: string, limits = NO_LIMITS) {
  const family = FAMILIES.find((f) => standingId.startsWith(f))!
  const held = { family, standingId, targetId: null, outcome: 'held', limits } as const
  const b = brief({
    aim: { ...USUAL_AIM, families: [family] },
    people: [1, 2, 3, 4].map((i) => person(i, held)),
  })
  const plan = planOf(b)
  const falls = plan.blocks
    .filter(isWork)
    .flatMap((x) => x.people)
    .filter((d) => (practice.stages.find((s) => s.id === d.variantId)?.load.FR ?? 0) >= 2)
  const out = plan.blocks.flatMap((x) =>
    x.kind === 'way-out' && 'items' in x ? x.items.map((i) => i.id) : [],
  )
  const ways = rehearsedWays(practice, plan, () => limits)
  return { b, plan, falls: falls.length, out, ways: ways.map((w) => w.id) }
}

describe('the way out of a class', () => {
  it.each([
    ['FS-11', ['DR-dolphin-hop']],
    ['HS-09a', expect.arrayContaining([expect.stringMatching(/vertical-bounce|low-hop|tuck-hop/)])],
    ['CR-06', []],
    ['SH-08', []],
  ])('of %s is hopped only where it is kicked into, from its own base', (standingId, hops) => {
    const { falls, out } = classAt(standingId)
    expect(falls).toBeGreaterThan(0)
    expect(out).toContain('DR-exit-rehearsal')
    expect(out.filter((id) => HOPS.includes(id))).toEqual(hops)
  })
  it('is how these shapes are left, by a way that limits leave open', () => {
    expect(classAt('CR-06').ways).toEqual(['EX-feet-forward'])
    expect(classAt('SH-08').ways).toEqual(['EX-slide-off-chair'])
    expect(classAt('FS-11').ways).not.toContain('EX-roll-spine')
    const nape = limited('NECK-disc')
    expect(classAt('HS-09a', nape).ways).not.toContain('EX-roll-tuck')
  })
  it('is asked for by the checker where a kick has no hop before it', () => {
    const { b, plan } = classAt('FS-11')
    const without = {
      ...plan,
      blocks: plan.blocks.map((x) =>
        'items' in x ? { ...x, items: x.items.filter((i) => !HOPS.includes(i.id)) } : x,
      ),
    }
    expect(validatePlan(practice, b, plan).map((v) => v.code)).not.toContain('load-without-warm-up')
    expect(validatePlan(practice, b, without)).toContainEqual(
      expect.objectContaining({ code: 'load-without-warm-up', warmupId: 'WU-fall' }),
    )
  })
})
