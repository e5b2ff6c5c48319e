'use client'

import { useCallback, useEffect, useState } from 'react'
import { newStamp } from '@/device/facts'
import { enqueue, flush, pending } from '@/device/outbox'
import { recordOnFloor, withdrawOnFloor } from '../actions'

type Sent = Parameters<typeof recordOnFloor>[0]
type Withdrawn = Parameters<typeof withdrawOnFloor>[0]

/** What a lane holds once its hand went up. */
export type LaneResult = {
  readonly id: string
  readonly value: string
  readonly faults: readonly string[]
  readonly aided: boolean
}

type Kept = {
  readonly checkId: string
  readonly half: 1 | 2
  /** Wall time of the common start, ms; null while nobody holds. Survives a reload, a sleep and a hidden tab. */
  readonly startedMs: number | null
  readonly results: Readonly<Record<string, LaneResult>>
}

const RETRY_MS = 4000
const key = (classId: string): string => `levitar.round.${classId}`

/** The round on this device: one common start, a result a lane, each kept at once and sent until the server has it. */
export function useRound(classId: string, firstCheck: string) {
  const [kept, setKept] = useState<Kept>({ checkId: firstCheck, half: 1, startedMs: null, results: {} })
  const [waiting, setWaiting] = useState(0)
  const [refused, setRefused] = useState('')

  useEffect(() => {
    // After a reload the round goes on where it was; the server has no part in it.
    const text = localStorage.getItem(key(classId))
    if (text === null) return
    try {
      // eslint-disable-next-line react-hooks/set-state-in-effect -- the device's store is read once, after the first paint
      setKept(JSON.parse(text) as Kept)
    } catch {
      localStorage.removeItem(key(classId))
    }
  }, [classId])
  const put = useCallback(
    (next: Kept) => {
      setKept(next)
      localStorage.setItem(key(classId), JSON.stringify(next))
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

  const record = (
    studentId: string,
    values: Pick<Sent, 'single' | 'left' | 'right'>,
    part: Partial<LaneResult> = {},
  ): void => {
    const earlier = kept.results[studentId]
    const stamp = newStamp()
    const value = values.single ?? `${values.left ?? ''} / ${values.right ?? ''}`
    const result = { aided: false, faults: [], ...earlier, ...part, id: stamp.id, value }
    put({ ...kept, results: { ...kept.results, [studentId]: result } })
    enqueue({
      id: stamp.id,
      kind: 'observation',
      payload: {
        ...stamp,
        studentId,
        checkId: kept.checkId,
        ...values,
        aided: result.aided,
        valid: true,
        watched: true,
        faults: [...result.faults],
        note: '',
        replaces: earlier?.id ?? null,
      } satisfies Sent,
    })
    void push()
  }
  const undo = (studentId: string): void => {
    const earlier = kept.results[studentId]
    if (!earlier) return
    const { [studentId]: _, ...results } = kept.results
    put({ ...kept, results })
    const stamp = newStamp()
    enqueue({
      id: stamp.id,
      kind: 'withdrawal',
      payload: { ...stamp, studentId, observationId: earlier.id } satisfies Withdrawn,
    })
    void push()
  }
  return {
    ...kept,
    waiting,
    refused,
    record,
    undo,
    /** The running hold ends for one lane: its seconds since the common start. */
    take: (studentId: string) => {
      if (kept.startedMs !== null)
        record(studentId, { single: ((Date.now() - kept.startedMs) / 1000).toFixed(1) })
    },
    start: () => put({ ...kept, startedMs: Date.now() }),
    stopClock: () => put({ ...kept, startedMs: null }),
    pick: (checkId: string) => put({ checkId, half: 1, startedMs: null, results: {} }),
    swap: () => put({ ...kept, half: kept.half === 1 ? 2 : 1, startedMs: null }),
  }
}
