import 'server-only'
import { formatDay } from '@/core/day'
import { seenOf } from '@/core/teaching/outcome'
import { SEEN_WORD } from '@/core/words/floor'
import { list } from '@/core/words/number'
import { faultName, stageName } from '@/core/words/reason'
import { setupName } from '@/core/words/next-steps'
import { logPage, type LogAsked } from '@/db/log'
import { listNames } from '@/db/students'
import type { Context } from '../context'

type Choice = { value: string; label: string }
export type Logbook = {
  asked: LogAsked
  lines: {
    id: string
    day: string
    studentId: string
    name: string
    classId: string | null
    what: string
    seen: string
    more: string
  }[]
  page: number
  more: boolean
  people: Choice[]
  stages: Choice[]
  faults: Choice[]
  setups: Choice[]
}

const A_PAGE = 60

/** Every try that was recorded, by person, step, fault, setup and day. */
export function logbook({ scope, practice }: Context, asked: LogAsked, page: number): Logbook {
  const names = listNames(scope)
  const nameOf = new Map(names.map((n) => [n.id, n.name]))
  const { lines, more } = logPage(scope, asked, page, A_PAGE)
  return {
    ...{ asked, page, more },
    lines: lines.map((line) => ({
      ...{ id: line.id, day: formatDay(line.day), studentId: line.studentId, classId: line.classId },
      name: nameOf.get(line.studentId) ?? '',
      what: stageName(practice, line.stageId),
      seen: SEEN_WORD[seenOf(line)],
      more: [
        ...(line.seconds === null ? [] : [`${line.seconds} s`]),
        ...(line.lead === null ? [] : [`${line.lead} leg led`]),
        ...(line.help === 'alone' ? [] : [line.help === 'not-said' ? 'not said whether alone' : line.help]),
        ...(line.setupId === null ? [] : [setupName(practice, line.setupId)]),
        ...(line.faults.length === 0
          ? []
          : [list(line.faults.map((f) => faultName(practice, f).toLowerCase()))]),
      ].join(' · '),
    })),
    people: names.map((n) => ({ value: n.id, label: n.name })),
    stages: practice.stages.map((s) => ({ value: s.id, label: s.name })),
    faults: practice.faults.map((f) => ({ value: f.id, label: faultName(practice, f.id) })),
    setups: practice.setups.map((s) => ({ value: s.id, label: setupName(practice, s.id) })),
  }
}
