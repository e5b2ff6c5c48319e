import { findById } from '../practice/find'
import type { Library } from '../practice/library'
import type { Gate, Way } from '../practice/schema'
import { METRIC, deg, length, type Wording, list } from './number'
import { PARAMETER_LABELS } from './parameter-labels'
import { describeAsked } from './reason'
import { SETUPS } from '../setups/catalogue'

/** What one way of working does, a line a thing; empty where it is what everything starts from. */
export function describeWay(practice: Library, way: Way, wording: Wording = METRIC): string[] {
  const { say, set, ask, hides, prefers, cap, keepsProps, newThing, touch, told } = way
  return [
    ...(say ? [`Said at ${stagesOf(practice, say.on)}: “${say.words}”`] : []),
    ...(set ? [beginsWith(practice, set, wording)] : []),
    ...(ask
      ? [
          `${capital(stagesOf(practice, ask.on))} also ${ask.on.length > 1 ? 'ask' : 'asks'} for: ${asks(practice, ask, wording)}.`,
        ]
      : []),
    ...(hides ? [`Leaves out ${stagesOf(practice, hides)}.`] : []),
    ...(prefers ? [`Goes by ${stagesOf(practice, prefers)} where there is a choice.`] : []),
    ...(cap ? [`At most ${cap} attempts in one class.`] : []),
    ...(keepsProps ? ['Nobody is asked to leave a prop off.'] : []),
    ...(newThing ? [NEW_THING[newThing]] : []),
    ...(touch === 'no' ? ['No hands on anybody, on every plan, sheet and class.'] : []),
    ...(told ? [`Told to you only. ${told}`] : []),
  ]
}

/** Where in the hour the turns stand. */
const NEW_THING = {
  middle: 'The turns come in the middle of the hour, strength after them.',
  late: 'The turns come last, after strength; whoever it tires tries less.',
} as const

function beginsWith(practice: Library, set: NonNullable<Way['set']>, wording: Wording): string {
  const setups = list(set.setups.map((id) => findById(practice.setups, id).name))
  const label = PARAMETER_LABELS[set.option] ?? set.option
  return `${setups}: ${label.charAt(0).toLowerCase()}${label.slice(1)} begins at ${valueOf(set, wording)}.`
}

function valueOf({ setups, option, value = 0, own }: NonNullable<Way['set']>, wording: Wording): string {
  if (own === 'hand') return 'one’s own hand’s length'
  const found = SETUPS.find((s) => setups.includes(s.id))?.options.find((o) => o.key === option)
  if (found?.unit === 'choice') return `another way of measuring (${found.choices?.[value] ?? value})`
  return found?.unit === 'deg' ? deg(value) : length(value, wording)
}

function asks(
  practice: Library,
  { check, op, value, side }: NonNullable<Way['ask']>,
  wording: Wording,
): string {
  const gate: Gate = {
    check,
    op,
    side,
    aidedOk: false,
    life: 'standing',
    ...(value === undefined ? {} : { value }),
  }
  return describeAsked(gate, findById(practice.checks, check), wording)
}

/** Stages or rungs by name; a rung by the first of its branches. */
function stagesOf(practice: Library, names: readonly string[]): string {
  return list(
    names.map((name) => {
      const exact = practice.stages.find((s) => s.id === name)
      const branch = exact ?? practice.stages.find((s) => s.id.startsWith(name))
      return (branch?.name ?? name).toLowerCase()
    }),
  )
}

function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1)
}
