'use client'

import { v7 } from 'uuid'
import { readHlc, tick, writeHlc } from '@/core/teaching/hlc'

/** What the device puts on every fact, so that a tap sent twice counts once and a moved clock reorders nothing. */
export type Stamp = { id: string; deviceId: string; deviceSeq: number; hlc: string }

const DEVICE_KEY = 'levitar.device'
const SEQUENCE_KEY = 'levitar.sequence'
const CLOCK_KEY = 'levitar.clock'

/** A fresh stamp; call it once for each thing somebody does, and send the same one again on a retry. */
export function newStamp(): Stamp {
  const deviceId = remembered(DEVICE_KEY, () => v7())
  const deviceSeq = Number(localStorage.getItem(SEQUENCE_KEY) ?? '0') + 1
  localStorage.setItem(SEQUENCE_KEY, String(deviceSeq))
  const hlc = writeHlc(tick(readHlc(localStorage.getItem(CLOCK_KEY) ?? ''), Date.now()), deviceId)
  localStorage.setItem(CLOCK_KEY, hlc)
  return { id: v7(), deviceId, deviceSeq, hlc }
}

/** An id for something that is made once on this device. */
export function newId(): string {
  return v7()
}

function remembered(key: string, make: () => string): string {
  const kept = localStorage.getItem(key)
  if (kept) return kept
  const made = make()
  localStorage.setItem(key, made)
  return made
}
