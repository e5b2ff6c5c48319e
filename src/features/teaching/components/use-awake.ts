'use client'

import { useEffect, useState } from 'react'

/** Keeps the screen lit while a class runs; false where this browser cannot, which an insecure address is one reason for. */
export function useAwake(running: boolean): boolean {
  const [able, setAble] = useState(true)
  useEffect(() => {
    if (!running) return
    let lock: WakeLockSentinel | null = null
    let gone = false
    const hold = async (): Promise<void> => {
      if (!('wakeLock' in navigator)) {
        setAble(false)
        return
      }
      try {
        const held = await navigator.wakeLock.request('screen')
        if (gone) void held.release()
        else lock = held
      } catch {
        // Refused while the page is hidden or the battery is low: asked again when the page is seen.
      }
    }
    const seen = (): void => void (document.visibilityState === 'visible' && hold())
    void hold()
    document.addEventListener('visibilitychange', seen)
    return () => {
      gone = true
      document.removeEventListener('visibilitychange', seen)
      void lock?.release()
    }
  }, [running])
  return able
}
