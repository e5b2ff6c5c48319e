import type { DrillDone } from '../readiness/evidence'
import type { DemoClass, Maker } from './demo'

/** What the Tuesday group drills, week by week in turn, with what a class does of it: seconds where held, else times. */
const DRILLED = [
  ['DR-dolphin-rock', 20],
  ['DR-dolphin-hold', 90],
  ['DR-hollow', 60],
] as const

/** Two drills in each class that is over, by everybody who was there. */
export function demoDrills(classes: readonly DemoClass[], asOf: string, maker: Maker): DrillDone[] {
  return classes
    .filter((c) => c.day < asOf)
    .flatMap((c, week) =>
      Object.entries(c.attended).flatMap(([studentId, mark]) =>
        mark === 'absent'
          ? []
          : [0, 1].map((n): DrillDone => {
              const [drillId, amount] = DRILLED[(week + n) % DRILLED.length] ?? DRILLED[0]
              return {
                ...maker.stamp(c.day),
                ...{ studentId, drillId, classId: c.id, amount, withdrawn: false },
              }
            }),
      ),
    )
}
