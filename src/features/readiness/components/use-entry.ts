'use client'

import { useRouter } from 'next/navigation'
import { useRef, useState } from 'react'
import { newStamp, type Stamp } from '@/device/facts'
import { useSubmit } from '../../use-submit'
import { recordObservation } from '../actions'

export type EntryInput = Omit<Parameters<typeof recordObservation>[0], keyof Stamp>

/** Stores one result: the same stamp is sent until it is confirmed, so two presses or a retry count once. */
export function useEntry() {
  const router = useRouter()
  const stamp = useRef<Stamp | null>(null)
  const [saved, setSaved] = useState(0)
  const { busy, problemOf, send, clear } = useSubmit(recordObservation)

  const save = async (input: EntryInput): Promise<boolean> => {
    stamp.current ??= newStamp()
    const stored = await send({ ...input, ...stamp.current })
    if (!stored) return false
    stamp.current = null
    setSaved((n) => n + 1)
    router.refresh()
    return true
  }
  return { busy, problemOf, save, clear, saved }
}
