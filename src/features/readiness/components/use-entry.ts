'use client'

import type { FactOf } from '@/core/facts/fact'
import type { Stamp } from '@/core/facts/stamp'
import { useWording } from '@/ui/wording'
import { useFact } from '../../use-fact'

type Entry = Omit<
  FactOf<'observation'>,
  keyof Stamp | 'kind' | 'units' | 'aid' | 'help' | 'arms' | 'observer' | 'classId'
>

/** Stores one result from a form, in the units on the screen. */
export function useEntry() {
  const { units } = useWording()
  const { save: keep, ...rest } = useFact()
  const save = (entry: Entry): Promise<boolean> =>
    keep({
      kind: 'observation',
      ...{ aid: '', help: 'alone', arms: null, observer: '', classId: null },
      ...entry,
      units,
    })
  return { ...rest, save }
}
