'use client'

import type { SentFact } from '@/core/facts/fact'
import { readHlc } from '@/core/facts/hlc'
import { studioDayOf } from './clock'
import { takeOver } from './log'

/** Where taps waited before the log: one list for the whole device. */
const KEY = 'levitar.outbox'

/**
 * Takes over what waited when the app was brought up to date, under the ids it had: an update loses nothing and doubles
 * nothing.
 */
export async function bringOver(): Promise<void> {
  const kept = typeof localStorage === 'undefined' ? null : localStorage.getItem(KEY)
  if (kept === null) return
  for (const { kind, payload } of read(kept)) {
    const draft = asDraft(kind, payload)
    const { id, deviceId, deviceSeq, hlc } = payload
    const day = studioDayOf(readHlc(String(hlc)).ms)
    if (draft) await takeOver({ ...draft, id, deviceId, deviceSeq, hlc, day } as SentFact)
  }
  localStorage.removeItem(KEY)
}

type Old = { readonly kind: string; readonly payload: Readonly<Record<string, unknown>> }

function read(text: string): readonly Old[] {
  try {
    const parsed: unknown = JSON.parse(text)
    return Array.isArray(parsed) ? (parsed as Old[]) : []
  } catch {
    return []
  }
}

function asDraft(kind: string, payload: Old['payload']): object | null {
  const { single, left, right, withdrawn, kind: event, observationId, ...fields } = payload
  const { studentId } = fields
  if (kind === 'event') return { ...fields, kind: 'class-event', event }
  if (kind === 'observation') return { ...fields, kind, typed: { single, left, right }, units: 'cm' }
  if (kind === 'withdrawal')
    return { kind: 'taken-back', of: 'observation', studentId, target: observationId }
  if (kind !== 'attempt') return null
  return withdrawn === true
    ? { kind: 'taken-back', of: 'attempt', studentId, target: fields.replaces }
    : { ...fields, kind, setupId: null, lead: null, seconds: null }
}
