import { shippedPractice } from '@/core/practice/library'
import { STATED_NOISE } from '@/core/simulate/students'
import { validateReadiness, type Score } from '@/core/simulate/validate-readiness'

/** 2,000 simulated students of twenty weeks, from half to double noise: `tsx scripts/prove-readiness.ts`. */
const STUDENTS = 2000
const said = ({ falseShare, medianDelayWeeks, offers }: Score): string =>
  `${(100 * falseShare).toFixed(1)} % of ${offers} false, delay ${medianDelayWeeks.toFixed(1)} wk`
for (const [name, factor] of [
  ['half', 0.5],
  ['scatter 10 %', 0.1 / STATED_NOISE.dayShare],
  ['stated (15 %)', 1],
  ['scatter 20 %', 0.2 / STATED_NOISE.dayShare],
  ['double', 2],
] as const)
  for (const fall of [1, 2, 3] as const) {
    const noise = {
      dayShare: STATED_NOISE.dayShare * factor,
      readingS: STATED_NOISE.readingS * factor,
      unmarked: STATED_NOISE.unmarked * factor,
    }
    const { engine, bestEver, lastOnly, whole, wholeBestEver, forecastCoverage } = validateReadiness(
      shippedPractice(),
      STUDENTS,
      fall,
      noise,
    )
    console.log(
      `${name}, fall ${fall}: engine ${said(engine)} · best ever ${said(bestEver)} · last only ${said(lastOnly)} · hold and lift: engine ${said(whole)} · best ever ${said(wholeBestEver)} · forecast covers ${(100 * forecastCoverage).toFixed(0)} %`,
    )
  }
