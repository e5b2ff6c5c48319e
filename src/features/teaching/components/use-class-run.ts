'use client'

import { useEffect, useMemo, useState } from 'react'
import type { ClassEvent } from '@/core/classes/run'
import { standingFacts } from '@/core/facts/round'
import { isSamePress, type NewAttempt } from '@/core/facts/attempt'
import type { FactOf } from '@/core/facts/fact'
import { runThrough } from '@/core/teaching/catch-up'
import { hearOf } from '@/device/facts'
import { useLog, useRecord } from '@/device/use-log'
import type { DrillMark } from '../drill-mark'
import type { Recorded, TeachData } from '../queries'

type Press = { readonly try: NewAttempt; readonly atMs: number }

/** The last press on this screen, so that a finger that bounces is heard once. */
function lastPresses() {
  let last: Press | null = null
  return {
    isAgain: (press: Press): boolean => {
      if (isSamePress(last, press)) return true
      last = press
      return false
    },
    forget: (): void => {
      last = null
    },
  }
}

export type Drilling = Pick<ReturnType<typeof useClassRun>, 'drilled' | 'drill' | 'undoDrill'>

/** The class as it stands: what the server has of it and what lies on this device, folded into one. */
export function useClassRun(data: TeachData) {
  const { events } = data
  // What is tapped here comes after everything that stands on this screen.
  const newest = events.reduce((last, { hlc }) => (hlc > last ? hlc : last), '')
  useEffect(() => {
    if (newest !== '') void hearOf(newest)
  }, [newest])
  const log = useLog()
  const { tell, failed } = useRecord()
  // The clock draws this screen four times a second: what it folds changes only with a tap or with news.
  const folded = useMemo(() => fold(data, log), [data, log])
  const [presses] = useState(lastPresses)
  const hands = useMemo(() => handsOf(data, tell, presses), [data, tell, presses])
  return useMemo(() => ({ ...folded, ...hands, failed }), [folded, hands, failed])
}

/** What the server has of a class and what was tapped on this device, in one. */
function fold(
  { classId, events, recorded: known, plan: made, drilled: drilledBefore }: TeachData,
  log: ReturnType<typeof useLog>,
) {
  const mine = standingFacts(log).filter((fact) => 'classId' in fact && fact.classId === classId)
  const tapped = mine.flatMap((fact) => (fact.kind === 'class-event' ? [fact] : []))
  const gone = new Set(
    log.flatMap(({ fact, state }) =>
      fact.kind === 'taken-back' && state !== 'refused' ? [fact.target] : [],
    ),
  )
  const stands = ({ id }: { readonly id: string }): boolean => !gone.has(id)
  const taken = mine.flatMap((fact): Recorded[] => (fact.kind === 'attempt' ? [recordedOf(fact)] : []))
  const did = mine.flatMap((fact): DrillMark[] => (fact.kind === 'drill' ? [fact] : []))
  return {
    ...runThrough(made, [...events, ...tapped]),
    recorded: onceEach([...known, ...taken]).filter(stands),
    drilled: onceEach([...drilledBefore, ...did]).filter(stands),
  }
}

function onceEach<T extends { readonly id: string }>(all: readonly T[]): T[] {
  return [...new Map(all.map((one) => [one.id, one])).values()]
}

/** Everything that may be tapped in a class. */
function handsOf(
  { classId, people, titles }: TeachData,
  tell: ReturnType<typeof useRecord>['tell'],
  presses: ReturnType<typeof lastPresses>,
) {
  const nameOf = (id: string): string => people.find((p) => p.id === id)?.name ?? ''
  return {
    happen: (event: ClassEvent['event'], blockIndex: number): void =>
      void tell(
        { kind: 'class-event', event, classId, blockIndex, atMs: Date.now() },
        EVENT_LABEL[event] ?? `Class: ${titles[blockIndex] ?? ''}`,
      ),
    mark: async (tried: NewAttempt): Promise<boolean> => {
      const press = { try: tried, atMs: performance.now() }
      // A finger that bounces has seen one try.
      if (presses.isAgain(press)) return true
      const kept = await tell(
        { ...tried, classId },
        `${nameOf(tried.studentId)}: ${tried.outcome.replace('-', ' ')}`,
      )
      // What could not be kept is pressed again at once.
      if (!kept) presses.forget()
      return kept
    },
    drill: (studentId: string, drillId: string, amount: number | null): void =>
      void tell(
        { kind: 'drill', studentId, drillId, amount, classId, replaces: null },
        `${nameOf(studentId)}: drill done`,
      ),
    undoDrill: ({ id, studentId }: DrillMark): void =>
      void tell(
        { kind: 'taken-back', of: 'drill', studentId, target: id },
        `${nameOf(studentId)}: drill taken back`,
      ),
    undo: ({ id, studentId }: Recorded): void => {
      presses.forget()
      void tell(
        { kind: 'taken-back', of: 'attempt', studentId, target: id },
        `${nameOf(studentId)}: last tap taken back`,
      )
    },
  }
}

/** What the strip says is waiting to be stored; blocks go by their title. */
const EVENT_LABEL: Partial<Record<ClassEvent['event'], string>> = {
  ended: 'End of the class',
  paused: 'Class: pause',
  resumed: 'Class: goes on',
  more: 'Class: a minute more',
  late: 'Class: shortened to end in time',
}

function recordedOf(fact: FactOf<'attempt'>): Recorded {
  const { id, hlc, studentId, stageId, outcome, level, faults, exitControlled, endedBy } = fact
  return { id, hlc, studentId, stageId, outcome, level, faults, exitControlled, endedBy }
}
