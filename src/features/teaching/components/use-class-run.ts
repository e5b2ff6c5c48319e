'use client'

import { useCallback, useEffect, useState } from 'react'
import { newStamp } from '@/device/facts'
import { enqueue, flush, pending, type Pending } from '@/device/outbox'
import type { ClassRun } from '@/core/teaching/class-run'
import { recordAttempt, recordEvent } from '../actions'
import type { Recorded } from '../queries'

type AttemptInput = Parameters<typeof recordAttempt>[0]
type EventInput = Parameters<typeof recordEvent>[0]
export type Mark = Pick<
  AttemptInput,
  'studentId' | 'stageId' | 'level' | 'outcome' | 'exitControlled' | 'help' | 'faults' | 'endedBy'
>

const RETRY_MS = 4000

/** What has been tapped shows at once, is kept on the device, and is sent until the server has it. */
export function useClassRun(classId: string, initial: ClassRun, initialRecorded: readonly Recorded[]) {
  const [run, setRun] = useState(initial)
  const [recorded, setRecorded] = useState<readonly Recorded[]>(initialRecorded)
  const [waiting, setWaiting] = useState(0)
  const [refused, setRefused] = useState('')

  const send = useCallback(async ({ kind, payload }: Pending): Promise<void> => {
    const answer =
      kind === 'attempt'
        ? await recordAttempt(payload as AttemptInput)
        : await recordEvent(payload as EventInput)
    if (!answer.ok) setRefused(answer.problems[0]?.message ?? '')
  }, [])
  const push = useCallback(async () => setWaiting(await flush(send)), [send])

  useEffect(() => {
    const timer = setInterval(() => {
      if (pending().length > 0) void push()
    }, RETRY_MS)
    return () => clearInterval(timer)
  }, [push])

  const tell = useCallback(
    (kind: 'attempt' | 'event', payload: AttemptInput | EventInput) => {
      enqueue({ id: payload.id, kind, payload })
      void push()
    },
    [push],
  )
  const goTo = useCallback(
    (kind: 'started' | 'block' | 'ended', blockIndex: number) => {
      const atMs = Date.now()
      setRun(
        kind === 'ended'
          ? (r) => ({ ...r, state: 'ended' })
          : { state: 'running', blockIndex, blockStartedMs: atMs },
      )
      tell('event', { ...newStamp(), classId, kind, atMs, blockIndex })
    },
    [classId, tell],
  )
  const mark = useCallback(
    (entry: Mark) => {
      const stamp = newStamp()
      setRecorded((all) => [...all, { ...entry, id: stamp.id }])
      tell('attempt', { ...stamp, ...entry, classId, replaces: null, withdrawn: false })
    },
    [classId, tell],
  )
  const undo = useCallback(
    (last: Recorded) => {
      setRecorded((all) => all.filter((r) => r.id !== last.id))
      const { id: replaces, ...entry } = last
      tell('attempt', {
        ...newStamp(),
        ...entry,
        classId,
        exitControlled: true,
        help: 'alone',
        endedBy: null,
        replaces,
        withdrawn: true,
      })
    },
    [classId, tell],
  )
  return { run, recorded, waiting, refused, goTo, mark, undo }
}
