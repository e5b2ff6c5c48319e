'use client'

import { useEffect, useRef, useState } from 'react'
import { ownDeviceId } from './facts'

/**
 * What a page was drawn from, asked for again whenever another device has recorded something in a class. It is asked for
 * beside the page: a page that is fetched anew while the server goes away would be gone with it.
 * @param given what the server drew the page from; a newer drawing takes the place of what was asked for
 * @param ask the same from the server, null where it refused
 */
export function useLive<T>(classId: string, given: T, ask: () => Promise<T | null>): T {
  const [heard, setHeard] = useState<{ readonly of: T; readonly now: T } | null>(null)
  const latest = useRef({ given, ask })
  useEffect(() => {
    latest.current = { given, ask }
  })
  useEffect(() => {
    let gone = false
    let asked = 0
    const again = async (): Promise<void> => {
      asked += 1
      const turn = asked
      const of = latest.current.given
      // Away for now: the line opens again by itself, and then it is asked for again.
      const now = await latest.current.ask().catch(() => null)
      if (!gone && now !== null && turn === asked) setHeard({ of, now })
    }
    const line = new EventSource(`/teach/${classId}/live`)
    // A device has no name before its first tap, so it is asked each time.
    line.onmessage = ({ data }: MessageEvent<string>) =>
      void ownDeviceId().then((own) => (data === own ? undefined : again()))
    // What happened between the drawing of the page and the open line, or while the line was cut, is asked for then.
    line.onopen = () => void again()
    return () => {
      gone = true
      line.close()
    }
  }, [classId])
  return heard !== null && heard.of === given ? heard.now : given
}
