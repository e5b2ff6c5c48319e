'use client'

import { Button } from '@mantine/core'
import { FormProblem } from '@/ui/form-problem'
import { useSubmit } from '../../use-submit'
import { beginPass } from '../layer-actions'

/** Hands the tablet over: from then on it shows one page of one class. */
export function BeginPass({ classId }: { classId: string }) {
  const { busy, problemOf, send } = useSubmit(beginPass)
  const pass = async (ask: 'check-in' | 'health'): Promise<void> => {
    const where = await send({ classId, ask })
    // A whole new page: nothing of the teacher's stays on it.
    if (where !== null) window.location.assign(where)
  }
  return (
    <>
      <Button variant="filled" loading={busy} onClick={() => void pass('check-in')}>
        Pass the tablet round
      </Button>
      <Button loading={busy} onClick={() => void pass('health')}>
        Pass the health questions
      </Button>
      <FormProblem message={problemOf('')} />
    </>
  )
}
