'use client'

import { useCallback, useState } from 'react'
import { readPerson } from '../actions'
import type { BenchBody, BenchDetails, BenchPerson } from '../queries'

const NOT_YET: BenchDetails = { limits: null, touch: 'no', begins: {}, bySetup: {}, next: [], saved: [] }

/** Who stands on the bench: their body at once, their limits and what comes next as soon as the server says. */
export function usePerson(people: readonly BenchBody[], initial: string | null, first: BenchDetails | null) {
  const [personId, setPersonId] = useState(initial ?? '')
  const [known, setKnown] = useState<Readonly<Record<string, BenchDetails>>>(
    initial !== null && first ? { [initial]: first } : {},
  )
  const pick = useCallback((id: string): void => {
    setPersonId(id)
    if (id === '') return
    readPerson({ studentId: id }).then(
      (answer) => {
        if (answer.ok) setKnown((all) => ({ ...all, [id]: answer.value }))
      },
      () => undefined,
    )
  }, [])
  const body = people.find((p) => p.id === personId)
  const person: BenchPerson | undefined = body ? { ...body, ...(known[personId] ?? NOT_YET) } : undefined
  const refresh = useCallback(() => pick(personId), [pick, personId])
  return { personId, person, pick, refresh }
}
