'use client'

import { useCallback, useRef } from 'react'
import { elapsedMs, type Moment } from '@/core/elapsed'
import { roundResults, type Marks, type RoundResult, type RoundValues } from '@/core/facts/round'
import { entries } from '@/device/log'
import { momentNow } from '@/device/moment'
import { useKept, useLog, useRecord } from '@/device/use-log'
import { useWording } from '@/ui/wording'
import type { RoundData } from '../round-queries'
import { wayOutFor } from './way-out'

export type Side = 'left' | 'right'
export type { Marks, RoundResult as LaneResult, RoundValues as Typed } from '@/core/facts/round'

const NO_MARKS: Marks = { faults: [], aid: '', helped: false, spent: false }

/** Where the round stands on this device. Results are not here: they are read from the log. */
type Kept = {
  readonly checkId: string
  readonly half: 1 | 2
  readonly side: Side
  /** The common start; null while nobody holds. Survives a reload, a sleep and a hidden tab. */
  readonly started: Moment | null
  /** One side of a hold that is still to be done on the other. */
  readonly oneSide: Readonly<Record<string, RoundValues>>
}

/** The round on this device: one common start, and a result a lane that goes down in the log. */
export function useRound({ classId, suggested, checks, people }: RoundData) {
  const [kept, put] = useKept<Kept>(`round ${classId}`, {
    ...{ half: 1, side: 'left', started: null, oneSide: {} },
    checkId: suggested[0] ?? checks[0]?.id ?? '',
  })
  const [{ observer }, putObserver] = useKept('observer', { observer: '' })
  const { units } = useWording()
  const { tell, failed } = useRecord()
  const results = roundResults(useLog(), classId)
  const here = results[kept.checkId] ?? {}
  const labelOf = (studentId: string): string =>
    `${people.find((p) => p.id === studentId)?.name ?? ''}: ${checks.find((c) => c.id === kept.checkId)?.name ?? ''}`

  /** What was shown is the way out that stood in the lane. */
  const wayOutOf = (studentId: string): string | null => {
    const check = checks.find((c) => c.id === kept.checkId)
    const person = people.find((p) => p.id === studentId)
    return (check && person && wayOutFor(check, person)?.id) ?? null
  }

  /**
   * Taps are worked off one after another, each from what the log holds once the one before is down: on a slow tablet a
   * second chip corrects the first, and a second tap on one lane makes no second result.
   */
  const before = useRef<Promise<unknown>>(Promise.resolve())
  const inTurn = (studentId: string, work: (held: RoundResult | undefined) => Promise<unknown>): void => {
    const { checkId } = kept
    before.current = before.current.then(() => work(roundResults(entries(), classId)[checkId]?.[studentId]))
  }
  const tellResult = (
    studentId: string,
    typed: RoundValues,
    marks: Marks,
    replaces: string | null,
  ): Promise<boolean> =>
    tell(
      {
        kind: 'observation',
        ...{ studentId, checkId: kept.checkId, typed, units, classId, observer, replaces },
        ...{ valid: true, watched: true, note: '' },
        aided: marks.aid !== '',
        aid: marks.aid,
        help: marks.helped ? 'touched' : 'alone',
        arms: marks.spent ? 'spent' : null,
        faults: [...marks.faults],
        exitId: wayOutOf(studentId),
      },
      labelOf(studentId),
    )
  /** What a lane did, once: a second tap before the first is seen is the same hand. */
  const record = (studentId: string, typed: RoundValues, marks: Partial<Marks> = {}): void =>
    inTurn(studentId, async (held) => {
      if (!held) await tellResult(studentId, typed, { ...NO_MARKS, ...marks }, null)
    })
  /** What was seen beside a result; told as a change to what is held by then. */
  const mark = (studentId: string, change: (held: Marks) => Partial<Marks>): void =>
    inTurn(studentId, async (held) => {
      if (held) await tellResult(studentId, held.values, { ...held, ...change(held) }, held.id)
    })
  /** One side of a sided hold; both together make the result. */
  const recordSide = (studentId: string, side: Side, value: string): void => {
    const both = { ...kept.oneSide[studentId], [side]: value }
    const { [studentId]: _, ...others } = kept.oneSide
    const whole = both.left !== undefined && both.right !== undefined
    put({ oneSide: whole ? others : { ...others, [studentId]: both } })
    if (whole) record(studentId, { left: both.left, right: both.right })
  }
  const undo = (studentId: string): void =>
    inTurn(studentId, async (held) => {
      if (held)
        await tell(
          { kind: 'taken-back', of: 'observation', studentId, target: held.id },
          `${labelOf(studentId)}, taken back`,
        )
    })
  return {
    ...kept,
    observer,
    results: here,
    /** How many of each check's results this device made, for the buttons. */
    counts: Object.fromEntries(Object.entries(results).map(([id, r]) => [id, Object.keys(r).length])),
    failed,
    record,
    mark,
    recordSide,
    undo,
    /** Seconds since the common start, as a watcher's hand goes up. */
    taken: (): string =>
      kept.started === null ? '' : (elapsedMs(kept.started, momentNow()) / 1000).toFixed(1),
    start: () => put({ started: momentNow() }),
    stopClock: () => put({ started: null }),
    pick: (checkId: string) => put({ checkId, half: 1, side: 'left', started: null, oneSide: {} }),
    swap: () => put({ half: kept.half === 1 ? 2 : 1, side: 'left', started: null }),
    setSide: (side: Side) => put({ side, started: null }),
    setObserver: useCallback((name: string) => putObserver({ observer: name }), [putObserver]),
  }
}
