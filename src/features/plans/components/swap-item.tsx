'use client'

import { NativeSelect } from '@mantine/core'
import { FormProblem } from '@/ui/form-problem'
import { useEdit } from './use-edit'

/** Another drill that prepares the same, or another counterpose for the same load. */
export function SwapItem({
  classId,
  id,
  name,
  swaps,
}: {
  classId: string
  id: string
  name: string
  swaps: readonly { id: string; label: string }[]
}) {
  const { busy, problem, edit } = useEdit(classId)
  return (
    <>
      <NativeSelect
        className="no-print"
        size="xs"
        variant="unstyled"
        w={120}
        disabled={busy}
        aria-label={`Another in place of ${name.replace(/^.* · /, '').replace(/:.*$/, '')}`}
        value=""
        data={[{ value: '', label: 'Another…' }, ...swaps.map((s) => ({ value: s.id, label: s.label }))]}
        onChange={(e) => {
          const to = e.currentTarget.value
          if (to !== '') edit({ kind: 'swap', from: id, to })
        }}
      />
      <FormProblem message={problem} />
    </>
  )
}
