import type { SetupStep } from './setup'

/**
 * Steps with which a rig is built, its place measured on whoever sits beside it. Everything else is done by whoever goes in,
 * and is told, not ticked: nobody goes in before the press test.
 */
const BUILDS: ReadonlySet<string> = new Set([
  'base-block-off-wall',
  'bench-at-groin',
  'blanket-on-seat',
  'bolster-from-wall',
  'chair-against-wall',
  'chair-beyond-head',
  'chair-on-mat-seat-padded',
  'chairs-on-mat-braced',
  'edge-under-shoulders',
  'gap-for-head',
  'household-layers',
  'lie-seat-to-wall',
  'pad-seats',
  'platform-stands-high',
  'press-test-seats',
  'press-test-stack',
  'sit-on-centre',
  'sit-soles-on-wall',
  'slabs-two-by-two',
  'support-at-front-legs',
  'support-off-front-legs',
  'top-mat-stops-short',
  'towers-flush-to-wall',
  'two-blocks-flush',
  'two-metres-free',
  'wrap-slabs',
])

/** A rig as it is built, and then how somebody goes in. */
export type RigSteps = {
  readonly builds: readonly SetupStep[]
  /** Whether a press test of its own is among them. */
  readonly tested: boolean
  readonly goesIn: readonly SetupStep[]
}

/** What is built first and what is done once it stands, each in the order of its setup. */
export function rigOf(steps: readonly SetupStep[]): RigSteps {
  const builds = steps.filter(({ code }) => BUILDS.has(code))
  return {
    builds,
    tested: builds.some(({ code }) => code.startsWith('press-test')),
    goesIn: steps.filter(({ code }) => !BUILDS.has(code)),
  }
}
