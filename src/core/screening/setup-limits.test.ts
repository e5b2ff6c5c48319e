import { shippedPractice } from '../practice/library'
import { limited } from '@/testing/briefs'
import { helpWith } from '../readiness/fault-help'
import { evidence, TODAY, within } from '@/testing/evidence'
import { NO_LIMITS, type Limits } from './caps'
import { closesSetup, insteadOfSetup } from './setup-limits'
import type { Load } from '../practice/schema'

const practice = shippedPractice()
/** Whether every stage of a setup, or what has to come before it, carries a load at which a limit stops or leaves out. */
const shut = ({ caps }: Limits, setupId: string): boolean => {
  const stages = practice.stages.filter((s) => s.setups.includes(setupId))
  const hit = (load: Load): boolean =>
    caps.some(
      (c) =>
        (['stop', 'avoid'].includes(c.action) ||
          load.cannot?.some((how) => how === c.change?.how) === true) &&
        ((load[c.tag] ?? 0) >= c.level || /urgent|home/.test(c.refer ?? '')),
    )
  const closed = (name: string): boolean =>
    practice.stages.filter((s) => s.id.startsWith(name)).every((s) => hit(s.load) || reached(s.after))
  const reached = ({ all, some }: (typeof stages)[number]['after']): boolean =>
    all.some(closed) || some.some((g) => g.of.filter(closed).length > g.of.length - g.least)
  return stages.length > 0 && stages.every((s) => hit(s.load) || reached(s.after))
}
const everyLimit = practice.cautions.map((c) => limited(...c.conditions))

it('a setup is closed where all that it is put up for is, and what stands in for it is open', () => {
  let closed = 0
  for (const limits of everyLimit)
    for (const { id } of practice.setups) {
      expect([id, closesSetup(practice, limits, id)]).toEqual([id, shut(limits, id)])
      const instead = insteadOfSetup(practice, limits, id)
      expect(instead !== undefined).toBe(shut(limits, id))
      if (!instead) continue
      expect([instead.load.FR ?? 0, instead.load.HB ?? 0].every((n, i) => n <= 1 - i)).toBe(true)
      closed += 1
      for (const { action, tag, level } of limits.caps)
        if (action === 'stop' || action === 'avoid') expect(instead.load[tag] ?? 0).toBeLessThan(level)
    }
  expect(closed).toBeGreaterThan(50)
  expect(practice.setups.filter((s) => closesSetup(practice, NO_LIMITS, s.id))).toEqual([])
})

it('help with a fault names no setup and no drill that limits close', () => {
  let named = 0
  // Each fault beside every third limit, each limit beside every third fault: all of them are met.
  for (const [i, caps] of everyLimit.entries())
    for (const { id } of practice.faults.filter((_, n) => n % 3 === i % 3)) {
      const who = {
        evidence: evidence(),
        caps,
        checkIn: null,
        asked: [],
        asOf: TODAY,
        within: within(caps),
        stageId: null,
      }
      const { setupId } = helpWith(practice, id, who)
      if (setupId === null) continue
      named += 1
      expect([id, setupId, shut(caps, setupId)]).toEqual([id, setupId, false])
    }
  expect(named).toBeGreaterThan(0)
})
