'use client'

import { Button, Text } from '@mantine/core'
import { useState } from 'react'
import { FormProblem } from '@/ui/form-problem'
import { useSubmit } from '../../use-submit'
import { rehearseHour } from '../rehearse-actions'

/** The hour played through many times with what evenings bring: two sentences of what tends to fall off. */
export function Rehearse({ classId }: { classId: string }) {
  const { busy, problemOf, send } = useSubmit(rehearseHour)
  const [lines, setLines] = useState<readonly string[]>([])
  const ask = async (): Promise<void> => setLines((await send({ id: classId }))?.lines ?? [])
  return (
    <section aria-label="Rehearse the hour" className="no-print">
      <FormProblem message={problemOf('')} />
      <Button disabled={busy} onClick={() => void ask()}>
        Rehearse the hour
      </Button>
      <div role="status">
        {lines.map((line) => (
          <Text key={line} mt="xs" maw={560}>
            {line}
          </Text>
        ))}
      </div>
    </section>
  )
}
