'use client'

import { Button } from '@mantine/core'
import { newId } from '@/device/facts'
import { FormProblem } from '@/ui/form-problem'
import { useSubmit } from '../../use-submit'
import { planAgain } from '../actions'

/** Makes the plan from how people stand now. */
export function PlanAgain({ id, label }: { id: string; label: string }) {
  const { busy, problemOf, send } = useSubmit(planAgain)
  return (
    <>
      <FormProblem message={problemOf('')} />
      <Button loading={busy} onClick={() => void send({ id, planId: newId() })}>
        {label}
      </Button>
    </>
  )
}
