'use client'

import { useCallback, useEffect, useState } from 'react'
import { elapsedMs, type Moment } from '@/core/elapsed'
import { newStamp } from '@/device/facts'
import { enqueue, flush, pending } from '@/device/outbox'
import { momentNow } from '@/ui/moment'
import { recordOnFloor, withdrawOnFloor } from '../actions'

type Sent = Parameters<typeof recordOnFloor>[0]
type Withdrawn = Parameters<typeof withdrawOnFloor>[0]
export type Side = 'left' | 'right'
export type Typed = { single?: string; left?: string; right?: string }

/** What is said beside a value. */
export type Marks = {
  readonly faults: readonly string[]
  /** A prop or a wall that helped; empty where nothing did. */
  readonly aid: string
  readonly helped: boolean
  readonly spent: boolean
}

/** What a lane holds once its hand went up. */
export type LaneResult = Marks & { readonly id: string; readonly values: Typed }

const NO_MARKS: Marks = { faults: [], aid: '', helped: false, spent: false }

type Kept = {
  readonly checkId: string
  readonly half: 1 | 2
  readonly side: Side
  /** The common start; null while nobody holds. Survives a reload, a sleep and a hidden tab. */
  readonly started: Moment | null
  /** Check → student → result of this round on this device. */
  readonly results: Readonly<Record<string, Readonly<Record<string, LaneResult>>>>
  /** One side of a hold that is still to be done on the other. */
  readonly oneSide: Readonly<Record<string, Typed>>
  readonly observer: string
}

const RETRY_MS = 4000
const OBSERVER_KEY = 'levitar.observer'
const key = (classId: string): string => `levitar.round.${classId}`

/** The round on this device: one common start, a result a lane, each kept at once and sent until the server has it. */
export function useRound(classId: string, firstCheck: string) {
  const [kept, setKept] = useState<Kept>({
    checkId: firstCheck,
    half: 1,
    side: 'left',
    started: null,
    results: {},
    oneSide: {},
    observer: '',
  })
  const [waiting, setWaiting] = useState(0)
  const [refused, setRefused] = useState('')

  useEffect(() => {
    // After a reload the round goes on where it was; the server has no part in it.
    const observer = localStorage.getItem(OBSERVER_KEY) ?? ''
    // eslint-disable-next-line react-hooks/set-state-in-effect -- the device's store is read once, after the first paint
    setKept((fresh) => ({ ...fresh, ...storedRound(classId), observer }))
  }, [classId])
  const put = useCallback(
    (part: Partial<Kept>) => {
      setKept((before) => {
        const next = { ...before, ...part }
        localStorage.setItem(key(classId), JSON.stringify(next))
        return next
      })
    },
    [classId],
  )
  const push = useCallback(async () => {
    const left = await flush(async ({ kind, payload }) => {
      const answer =
        kind === 'observation'
          ? await recordOnFloor(payload as Sent)
          : await withdrawOnFloor(payload as Withdrawn)
      if (!answer.ok) setRefused(answer.problems[0]?.message ?? '')
    })
    setWaiting(left)
  }, [])
  useEffect(() => {
    const timer = setInterval(() => {
      if (pending().length > 0) void push()
    }, RETRY_MS)
    return () => clearInterval(timer)
  }, [push])

  const here = kept.results[kept.checkId] ?? {}
  const setResult = (studentId: string, result: LaneResult | null): void => {
    const { [studentId]: _, ...others } = here
    put({
      results: { ...kept.results, [kept.checkId]: result ? { ...others, [studentId]: result } : others },
    })
  }
  const record = (studentId: string, values: Typed, marks: Partial<Marks> = {}): void => {
    const earlier = here[studentId]
    const stamp = newStamp()
    const result = { ...NO_MARKS, ...earlier, ...marks, id: stamp.id, values }
    setResult(studentId, result)
    enqueue({
      id: stamp.id,
      kind: 'observation',
      payload: {
        ...stamp,
        studentId,
        checkId: kept.checkId,
        ...values,
        aided: result.aid !== '',
        aid: result.aid,
        help: result.helped ? 'touched' : 'alone',
        arms: result.spent ? 'spent' : null,
        valid: true,
        watched: true,
        observer: kept.observer,
        classId,
        faults: [...result.faults],
        note: '',
        replaces: earlier?.id ?? null,
      } satisfies Sent,
    })
    void push()
  }
  /** One side of a sided hold; both together make the result. */
  const recordSide = (studentId: string, side: Side, value: string): void => {
    const both = { ...kept.oneSide[studentId], [side]: value }
    if (both.left === undefined || both.right === undefined) {
      put({ oneSide: { ...kept.oneSide, [studentId]: both } })
      return
    }
    const { [studentId]: _, ...oneSide } = kept.oneSide
    put({ oneSide })
    record(studentId, { left: both.left, right: both.right })
  }
  const undo = (studentId: string): void => {
    const earlier = here[studentId]
    if (!earlier) return
    setResult(studentId, null)
    const stamp = newStamp()
    enqueue({
      id: stamp.id,
      kind: 'withdrawal',
      payload: { ...stamp, studentId, observationId: earlier.id } satisfies Withdrawn,
    })
    void push()
  }
  return {
    checkId: kept.checkId,
    half: kept.half,
    side: kept.side,
    started: kept.started,
    observer: kept.observer,
    oneSide: kept.oneSide,
    results: here,
    /** How many of each check's results this device made, for the buttons. */
    counts: Object.fromEntries(Object.entries(kept.results).map(([id, r]) => [id, Object.keys(r).length])),
    waiting,
    refused,
    record,
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
    setObserver: (observer: string) => {
      localStorage.setItem(OBSERVER_KEY, observer)
      put({ observer })
    },
  }
}

export type Round = ReturnType<typeof useRound>

function storedRound(classId: string): Partial<Kept> {
  try {
    return JSON.parse(localStorage.getItem(key(classId)) ?? '{}') as Partial<Kept>
  } catch {
    localStorage.removeItem(key(classId))
    return {}
  }
}
