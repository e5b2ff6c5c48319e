import type { Caution } from '../practice/schema'
import { describeLoadFrom } from './load'

const ACTS: Readonly<Record<Caution['action'], string>> = {
  stop: 'Bars',
  avoid: 'Leaves out',
  modify: 'Changes',
  watch: 'Asks you to watch',
}

/** What a caution does, in a line: the loads it bars, leaves out, changes or has watched. */
export function describeCaution({ action, tags, noTags, mostSeconds }: Caution): string {
  const loads = tags.map(describeLoadFrom).join(', ')
  const limit = mostSeconds === undefined ? '' : `, ${mostSeconds} s at most`
  return `${ACTS[action]}: ${loads === '' ? (noTags ?? 'nothing by itself') : loads}${limit}`
}
