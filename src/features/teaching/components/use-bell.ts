'use client'

import { useCallback, useEffect, useRef, type RefObject } from 'react'
import { useKept } from '@/device/use-log'

/** How loud a bell is, 0 to 1; none at first, since some rooms want quiet. */
export const LOUDNESS = [
  { value: '0', label: 'Quiet' },
  { value: '0.15', label: 'Soft bell' },
  { value: '0.6', label: 'Loud bell' },
] as const

const HIGH_HZ = 880
const LOW_HZ = 587
const RING_S = 0.7

/** A breath is told far softer than a change of turns. */
const BREATH_HZ = 294
const BREATH_SHARE = 0.3

/**
 * Rings when the phase of a turn changes: high for up, low for down; softly at each breath where breaths are counted. Sound
 * begins with a tap, as browsers ask.
 */
export function useBell(
  phase: string,
  breath: number | null,
): { loudness: string; setLoudness: (value: string) => void } {
  const [{ loudness }, keep] = useKept('bell', { loudness: '0' })
  const audio = useRef<AudioContext | null>(null)
  const before = useRef(phase)
  useEffect(() => {
    if (before.current === phase) return
    before.current = phase
    if (phase !== '' && Number(loudness) > 0)
      ring(audio, phase.endsWith('up') ? HIGH_HZ : LOW_HZ, Number(loudness))
  }, [phase, loudness])
  const breathBefore = useRef(breath)
  useEffect(() => {
    if (breathBefore.current === breath) return
    breathBefore.current = breath
    // The first breath of a turn begins with its bell.
    if (breath !== null && breath > 1 && Number(loudness) > 0)
      ring(audio, BREATH_HZ, BREATH_SHARE * Number(loudness))
  }, [breath, loudness])
  const setLoudness = useCallback(
    (value: string) => {
      keep({ loudness: value })
      if (Number(value) > 0) ring(audio, HIGH_HZ, Number(value))
    },
    [keep],
  )
  return { loudness, setLoudness }
}

function ring(audio: RefObject<AudioContext | null>, hz: number, volume: number): void {
  audio.current ??= new AudioContext()
  const { current: context } = audio
  const tone = context.createOscillator()
  const gain = context.createGain()
  tone.frequency.value = hz
  gain.gain.setValueAtTime(volume, context.currentTime)
  gain.gain.exponentialRampToValueAtTime(0.001, context.currentTime + RING_S)
  tone.connect(gain).connect(context.destination)
  tone.start()
  tone.stop(context.currentTime + RING_S)
}
