import type { Gate, Stage } from './schema'

/** The check by which a way out is shown. */
export const WAY_OUT_CHECK = 'CK-exit-rehearsed'

/** Setups that spare the wrists: with them the full range is not asked for. */
const WRIST_SAVING: readonly string[] = ['SETUP-wrist-wedge', 'SETUP-neutral-grips']

/**
 * What every stage with such a load asks for, beside its own gates (progressions.md 1, the standing halves). A body's
 * range, how it takes the head low and a rehearsed way out are shown once and stay while the result is fresh; the newest
 * result counts.
 */
export function ruleGates(stage: Omit<Stage, 'family'>): Gate[] {
  const { HB = 0, NF = 0, HBH = 0, WB = 0, FR = 0, KN = 0 } = stage.load
  const own = new Set(stage.gates.map((gate) => gate.check))
  const saved = stage.setups.every((id) => WRIST_SAVING.includes(id))
  const asked: Partial<Gate>[] = [
    ...(WB >= 3 && !saved
      ? [
          {
            check: 'CK-wrist-extension',
            op: '>=' as const,
            value: 80,
            min: 70,
            max: 95,
            side: 'each' as const,
          },
        ]
      : []),
    ...(HB >= 1 || NF >= 1 ? [{ check: 'CK-neck-range', op: 'yes' as const }] : []),
    ...(NF >= 2 ? [{ check: 'CK-neck-flexion', op: '<=' as const, value: 0 }] : []),
    ...(HBH >= 2 ? [{ check: 'CK-hbh-tolerance', op: 'yes' as const }] : []),
    ...(FR >= 2 ? [{ check: WAY_OUT_CHECK, op: 'yes' as const, side: 'each' as const }] : []),
    ...(own.has('CK-kick-height') ? [{ check: 'CK-both-leads', op: '<=' as const, value: 1 }] : []),
    ...(KN >= 3 ? [{ check: 'CK-lotus-hips', op: 'yes' as const, side: 'each' as const }] : []),
    // Short upper arms: no clearance means anything before it is known whether these arms can clear this head.
    ...(own.has('CK-head-clear')
      ? [{ check: 'CK-crown-proportion', op: 'recorded' as const, side: 'each' as const }]
      : []),
  ]
  return asked
    .filter(({ check }) => check !== undefined && !own.has(check))
    .map((gate): Gate => ({
      ...{ check: '', op: 'yes', side: 'single', aidedOk: false, life: 'standing', rule: true },
      ...{ days: { clean: 1, of: 1 }, ...gate },
    }))
}
