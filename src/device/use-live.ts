'use client'

import { useRouter } from 'next/navigation'
import { useEffect } from 'react'
import { ownDeviceId } from './facts'

/** Asks for the page again whenever another device has recorded something in a class. */
export function useLive(classId: string): void {
  const router = useRouter()
  useEffect(() => {
    const line = new EventSource(`/teach/${classId}/live`)
    // A device has no name before its first tap, so it is asked each time.
    line.onmessage = ({ data }: MessageEvent<string>) =>
      void ownDeviceId().then((own) => {
        if (data !== own) router.refresh()
      })
    // What happened between the drawing of the page and the open line, or while the line was cut, is asked for then.
    line.onopen = () => router.refresh()
    return () => line.close()
  }, [classId, router])
}
