'use client'

import { useIdle } from '@mantine/hooks'
import dynamic from 'next/dynamic'
import { usePathname } from 'next/navigation'
import { useEffect, useState } from 'react'
import { lockScreen } from '../sign-in-actions'

// Seldom needed, so it comes when it is.
const LockCover = dynamic(() => import('./lock-cover').then((m) => m.LockCover), { ssr: false })

/** So long nothing is touched before a screen locks, ms. */
const QUIET_MS = 15 * 60_000
/** A class that runs is not covered: its page shows limits and no reasons, and hands are full. */
const FLOOR = /^\/(?:teach\/[^/]+(?:$|\/board)|readiness\/round\/[^/]+$)/

/** Locks a screen that nobody touches. What is under it goes on: timers run, forms keep what was typed. */
export function QuietLock({ name, locked }: { name: string; locked: boolean }) {
  const path = usePathname()
  const onFloor = FLOOR.test(path)
  const idle = useIdle(QUIET_MS, { initialState: false })
  const [isLocked, setIsLocked] = useState(locked)
  useEffect(() => {
    if (!idle || isLocked) return
    void lockScreen().then(
      (answer) => answer.ok && answer.value && setIsLocked(true),
      () => setIsLocked(true),
    )
  }, [idle, isLocked])
  return isLocked && !onFloor ? <LockCover name={name} onOpen={() => setIsLocked(false)} /> : null
}
