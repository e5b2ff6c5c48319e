'use client'

import { createContext, use, type ReactNode } from 'react'
import { METRIC, type Wording } from '@/core/words/number'

const WordingContext = createContext<Wording>(METRIC)

/** Units for everything below, so that cm and inches change everywhere at once. */
export function WordingProvider({ value, children }: { value: Wording; children: ReactNode }) {
  return <WordingContext value={value}>{children}</WordingContext>
}

/** How numbers are printed here. */
export function useWording(): Wording {
  return use(WordingContext)
}
