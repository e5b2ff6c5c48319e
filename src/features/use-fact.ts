'use client'

import { useRef, useState } from 'react'
import type { Stamp } from '@/core/facts/stamp'
import { newStamp } from '@/device/facts'
import type { Draft } from '@/device/log'
import { recordFact } from './facts/actions'
import { useSubmit } from './use-submit'

/** Stores one fact from a form: the same stamp is sent until it is confirmed, so two presses or a retry count once. */
export function useFact(send: typeof recordFact = recordFact) {
  const stamp = useRef<Stamp | null>(null)
  const [saved, setSaved] = useState(0)
  const { send: submit, ...rest } = useSubmit(send)
  const save = async (draft: Draft): Promise<boolean> => {
    stamp.current ??= await newStamp()
    const stored = await submit({ ...draft, ...stamp.current })
    if (stored === null) return false
    stamp.current = null
    setSaved((n) => n + 1)
    return true
  }
  return { ...rest, save, saved }
}
