import type { LogAsked } from '@/db/log'
import { dayAsked } from '../page'

/** The form of the log: a name in the address for each thing that may be asked. */
const NAMES = {
  who: 'studentId',
  step: 'stageId',
  fault: 'fault',
  setup: 'setupId',
  from: 'from',
  to: 'to',
} as const
type Name = keyof typeof NAMES
/** An address's part after the question mark, as Next hands it on. */
export type LogQuery = Partial<Record<Name | 'page', string | string[]>>

/** What an address asks; what is no day, or empty, is not asked. */
export function askedFrom(query: LogQuery): LogAsked {
  const one = (name: Name): string | undefined => [query[name]].flat()[0] || undefined
  const day = (name: 'from' | 'to'): string | undefined => dayAsked(query[name]) ?? undefined
  return {
    ...{ studentId: one('who'), stageId: one('step'), fault: one('fault'), setupId: one('setup') },
    ...{ from: day('from'), to: day('to') },
  }
}

/** The same the other way: what an address has to hold, without what is not asked. */
export function queryOf(asked: LogAsked): Partial<Record<Name, string>> {
  return Object.fromEntries(
    Object.entries(NAMES).flatMap(([name, key]) => {
      const value = asked[key]
      return value === undefined ? [] : [[name, value]]
    }),
  )
}
