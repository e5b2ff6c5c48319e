'use client'

import { useEffect, useState } from 'react'

const placeOf = (key: string): string => `draft:${key}`

/** What was left half written in this tab; null where nothing was, or it does not read. */
function draftOf(key: string): object | null {
  try {
    const text: unknown = JSON.parse(sessionStorage.getItem(placeOf(key)) ?? 'null')
    return typeof text === 'object' ? text : null
  } catch {
    return null
  }
}

/**
 * Where a form begins: with what was half written in this tab, else empty. A reload, a link pressed by mistake and Back find
 * it again. The tab’s own memory is meant, not the device’s: a report may speak of somebody’s health, and a tablet goes from
 * hand to hand. Only for forms that are drawn in the browser alone.
 * @param key one form’s name
 */
export function useDraft<V extends object>(
  key: string,
  empty: V,
): { readonly initial: V; readonly isFound: boolean; readonly drop: () => void } {
  const [found, setFound] = useState(() => draftOf(key))
  const [initial] = useState(() => ({ ...empty, ...found }))
  return {
    initial,
    isFound: found !== null,
    drop: () => {
      sessionStorage.removeItem(placeOf(key))
      setFound(null)
    },
  }
}

/** Keeps what is typed in this tab as soon as it differs from an empty form. */
export function useKeptDraft(key: string, values: object, empty: object): void {
  const [text, nothing] = [JSON.stringify(values), JSON.stringify(empty)]
  useEffect(() => {
    if (text === nothing) sessionStorage.removeItem(placeOf(key))
    else sessionStorage.setItem(placeOf(key), text)
  }, [key, text, nothing])
}
