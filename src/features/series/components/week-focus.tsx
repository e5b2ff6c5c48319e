'use client'

import { Select } from '@mantine/core'
import { FormProblem } from '@/ui/form-problem'
import { useSubmit } from '../../use-submit'
import { setFocus } from '../actions'

const STEP = 'step'

/** What one week is about, to be changed. */
export function WeekFocus({
  seriesId,
  week,
  value,
  checks,
}: {
  seriesId: string
  week: number
  value: string | null
  checks: readonly { readonly value: string; readonly label: string }[]
}) {
  const { busy, problemOf, send } = useSubmit(setFocus)
  return (
    <>
      <Select
        aria-label={`What week ${week + 1} is about`}
        data={[{ value: STEP, label: 'the step itself' }, ...checks]}
        value={value ?? STEP}
        disabled={busy}
        searchable
        w={300}
        onChange={(chosen) => void send({ id: seriesId, week, check: chosen === STEP ? null : chosen })}
      />
      <FormProblem message={problemOf('')} />
    </>
  )
}
