'use client'

import { useEffect, useRef, useState } from 'react'
import { bellSchema, type Heard } from '@/core/facts/heard'
import { ownDeviceId } from './facts'

/**
 * What a page was drawn from, kept up with what other devices record in the class. What the page can fold into what it shows
 * is folded; anything else is asked for again, beside the page: a page that is fetched anew while the server goes away would
 * be gone with it.
 * @param given what the server drew the page from; a newer drawing takes the place of what was asked for
 * @param ask the same from the server, null where it refused
 * @param fold what is shown with something that was heard; null where the page has to be asked for again
 */
export function useLive<T>(
  classId: string,
  given: T,
  ask: () => Promise<T | null>,
  fold: (shown: T, heard: Heard) => T | null,
): T {
  const [heard, setHeard] = useState<{ readonly of: T; readonly now: T } | null>(null)
  const latest = useRef({ given, ask, fold })
  /** What is shown now, without waiting for it to be drawn. */
  const shown = useRef<{ readonly of: T; readonly now: T } | null>(null)
  useEffect(() => {
    latest.current = { given, ask, fold }
  })
  useEffect(() => {
    let gone = false
    let asked = 0
    let asking = false
    const show = (of: T, now: T): void => {
      shown.current = { of, now }
      setHeard(shown.current)
    }
    /** What was heard while the page was being asked for: the answer may be from before it. */
    let meanwhile: Heard[] = []
    const again = async (): Promise<void> => {
      asked += 1
      const turn = asked
      asking = true
      meanwhile = []
      const of = latest.current.given
      // Away for now: the line opens again by itself, and then it is asked for again.
      const answer = await latest.current.ask().catch(() => null)
      if (gone || turn !== asked) return
      asking = false
      const late = meanwhile
      meanwhile = []
      if (answer === null) return
      show(
        of,
        late.reduce<T>((now, one) => latest.current.fold(now, one) ?? now, answer),
      )
    }
    const take = (one: Heard): void => {
      const { given: of } = latest.current
      const now = shown.current?.of === of ? shown.current.now : of
      const folded = latest.current.fold(now, one)
      if (folded === null) return void again()
      if (asking) meanwhile.push(one)
      if (folded !== now) show(of, folded)
    }
    const line = new EventSource(`/teach/${classId}/live`)
    // A device has no name before its first tap, so it is asked each time.
    line.onmessage = ({ data }: MessageEvent<string>) => {
      const told = bellSchema.safeParse(parsed(data))
      if (!told.success) return void again()
      void ownDeviceId().then((own) => (told.data.deviceId === own ? undefined : take(told.data.heard)))
    }
    // What happened between the drawing of the page and the open line, or while the line was cut, is asked for then.
    line.onopen = () => void again()
    return () => {
      gone = true
      line.close()
    }
  }, [classId])
  return heard !== null && heard.of === given ? heard.now : given
}

function parsed(text: string): unknown {
  try {
    return JSON.parse(text)
  } catch {
    return null
  }
}
