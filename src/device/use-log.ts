'use client'

import { useCallback, useEffect, useRef, useState, useSyncExternalStore } from 'react'
import { entries, onLog, readLog, record, type Draft } from './log'
import { deviceDb, STRICT, type Entry } from './store'

const NONE: readonly Entry[] = []

/** The log of this device, live. */
export function useLog(): readonly Entry[] {
  useEffect(() => void readLog().catch(() => undefined), [])
  return useSyncExternalStore(onLog, entries, () => NONE)
}

/** Records on this device: whether it was kept; the sentence is set where the browser keeps nothing. */
export function useRecord(): { tell: (draft: Draft, label: string) => Promise<boolean>; failed: string } {
  const [failed, setFailed] = useState('')
  const tell = useCallback(async (draft: Draft, label: string) => {
    try {
      await record(draft, label)
      setFailed('')
      return true
    } catch {
      setFailed('This browser could not keep the tap, so it is not recorded: tap again, or write it down.')
      return false
    }
  }, [])
  return { tell, failed }
}

/** Something small that outlives the page on this device, such as where a round stands. */
export function useKept<T extends object>(name: string, fresh: T): [T, (part: Partial<T>) => void] {
  const [value, setValue] = useState(fresh)
  const start = useRef(fresh)
  /** What was said here: it stands over what is read from the device, however late that comes. */
  const said = useRef<Partial<T>>({})
  useEffect(() => {
    let gone = false
    void deviceDb()
      .then((db) => db.get('kept', name))
      .then((kept) => {
        if (gone || typeof kept !== 'object' || kept === null) return
        start.current = { ...start.current, ...kept }
        setValue({ ...start.current, ...said.current })
      })
      .catch(() => undefined)
    return () => {
      gone = true
    }
  }, [name])
  const put = useCallback(
    (part: Partial<T>) => {
      said.current = { ...said.current, ...part }
      setValue({ ...start.current, ...said.current })
      void deviceDb()
        .then(async (db) => {
          const tx = db.transaction('kept', 'readwrite', STRICT)
          const kept = (await tx.store.get(name)) as object | undefined
          await tx.store.put({ ...start.current, ...kept, ...said.current }, name)
          await tx.done
        })
        .catch(() => undefined)
    },
    [name],
  )
  return [value, put]
}
