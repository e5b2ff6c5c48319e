import type { Entry } from '../library/entries'
import { BREATH_S, fitDose } from '../practice/dose'
import { findById } from '../practice/find'
import type { Library } from '../practice/library'
import type { Caution, Dose } from '../practice/schema'
import { optionName } from './approach'
import { describeCaution } from './caution'
import { describeDose } from './dose'
import { describeLoad } from './load'
import { length, METRIC, type Wording } from './number'
import { describeAsked, unitOf } from './reason'
import { describeProp } from './setup'

/** A line of a page to read: what it is about, and what is said. */
export type Line = readonly [label: string, text: string]

/** What is said of an entry, line by line; a line without text is left out. */
export function linesOf(practice: Library, { id, kind }: Entry, wording: Wording = METRIC): Line[] {
  return LINES[kind](practice, id, wording).filter(([, text]) => text !== '')
}

/** A dose for nobody in particular: at the usual breath. */
function usual(dose: Dose): string {
  return describeDose(fitDose(dose, { breathS: BREATH_S }))
}

const LINES: Readonly<Record<Entry['kind'], (p: Library, id: string, wording: Wording) => Line[]>> = {
  stage: (p, id, wording) => {
    const stage = findById(p.stages, id)
    return [
      ['Do', stage.do],
      ['Look for', stage.lookFor],
      ['Say', `“${stage.cue}”`],
      ['How much', usual(stage.dose)],
      ['Why', stage.why],
      ['Loads', describeLoad(stage.load)],
      [
        'Asks first',
        stage.gates.length === 0
          ? 'Nothing to prove first.'
          : stage.gates.map((g) => describeAsked(g, findById(p.checks, g.check), wording)).join(' · '),
      ],
    ]
  },
  drill: (p, id) => {
    const drill = findById(p.drills, id)
    return [
      ['Do', drill.do],
      ['Look for', drill.lookFor],
      ['How much', usual(drill.dose)],
      ['Easier', drill.easier ?? ''],
      ['Harder', drill.harder ?? ''],
      ['Loads', describeLoad(drill.load)],
      ['When', drill.notJustBeforeAttempts ? 'Not just before attempts: it tires what they need.' : ''],
    ]
  },
  check: (p, id, wording) => {
    const check = findById(p.checks, id)
    return [
      ['It answers', check.asks],
      ['How it is done', check.run],
      ['It counts when', check.valid],
      ['Counted in', check.kind === 'yes-no' ? 'yes or no' : (COUNTED[check.unit] ?? unitOf(check, wording))],
      ['Stays good for', `${check.freshDays} days`],
      ['Levels', (check.levels ?? []).map((level, i) => `${i}: ${level}`).join(' · ')],
    ]
  },
  fault: (p, id) => {
    const fault = findById(p.faults, id)
    return [
      ['You see', fault.see],
      ['Say', `“${fault.cue}”`],
      ['Often from', fault.causes.join(', ')],
      ['Then', THEN[fault.then]],
      ['Until', fault.until ?? ''],
    ]
  },
  setup: (p, id, wording) => {
    const setup = findById(p.setups, id)
    return [
      ['Where things go', setup.place],
      [
        'Fetch',
        setup.bill
          .map(
            ({ prop, count, optional }) =>
              `${describeProp({ kind: prop, count, detail: [] }, wording)}${optional ? ', if you like' : ''}`,
          )
          .join(' · '),
      ],
    ]
  },
  warmup: (p, id) => {
    const block = findById(p.warmups, id)
    return [
      ['Do', block.do],
      ['Minutes', `${block.minutes}`],
    ]
  },
  counterpose: (p, id) => {
    const block = findById(p.counterposes, id)
    return [
      ['Do', block.do],
      ['Minutes', `${block.minutes}`],
    ]
  },
  exit: (p, id) => [['Do', findById(p.exits, id).do]],
  prop: (p, id, wording) => {
    const prop = findById(p.props, id)
    const instead = p.substitutes.filter((s) => s.for === prop.kind || s.for === prop.id)
    return [
      [
        'Size',
        prop.sizeCm.length === 0
          ? 'Any that serves.'
          : prop.sizeCm.map((edge) => length(edge, wording)).join(' × '),
      ],
      ['Without one', instead.map(({ use }) => use).join('; ')],
      ['Never', instead.map(({ never }) => never).join('; ')],
    ]
  },
  caution: (p, id) => {
    const caution = findById(p.cautions, id)
    return [
      ['Asked as', askedAs(p, caution)],
      ['What it does', `${describeCaution(caution)}.`],
      ['Done so', caution.change?.words ?? ''],
      ['Instead', caution.instead],
      ['Asked again', RECHECK[caution.recheck](caution.recheckDays)],
    ]
  },
  way: (p, id) => {
    const way = findById(p.approaches, id)
    return way.options.map((option): Line => [
      `${optionName(option.id)}${option.id === way.default ? ', usually' : ''}`,
      `${option.reason}. ${option.cost}.`,
    ])
  },
}

/** Units as they are said, where the short form would stumble. */
const COUNTED: Readonly<Record<string, string>> = {
  s: 'seconds',
  deg: 'degrees',
  reps: 'times',
  none: 'nothing',
  level: 'levels',
  '0-10': 'nought to ten',
}

const THEN = {
  continue: 'Say it and go on.',
  'step back': 'One rung easier if it stays.',
  'fix first': 'Mend it before the next try.',
  stop: 'Stop here.',
} as const

/** The health questions whose answers bring it on; it speaks of nobody. */
function askedAs({ intake }: Library, { conditions }: Caution): string {
  return intake
    .flatMap(({ question, options }) =>
      options
        .filter(({ sets }) => sets.some((set) => conditions.includes(set)))
        .map(({ label }) => `${question} ${label}`),
    )
    .join(' · ')
}

const RECHECK: Readonly<Record<Caution['recheck'], (days: number | undefined) => string>> = {
  class: () => 'Before every class.',
  days: (days) => (days === undefined ? '' : `After ${days} days.`),
  'until-cleared': () => 'Until a clinician has cleared it.',
}
