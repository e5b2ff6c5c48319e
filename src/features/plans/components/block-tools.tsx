'use client'

import { Button } from '@mantine/core'
import type { Edit } from '@/core/classes/edit'
import { FormProblem } from '@/ui/form-problem'
import { useEdit } from './use-edit'

type Tool = { label: string; can: boolean; edit: Edit }

/** A block longer, shorter, earlier or later; everything else is planned again round it. */
export function BlockTools({
  classId,
  purpose,
  title,
  hasSets,
  canShorten,
  at,
  of,
}: {
  classId: string
  purpose: string
  title: string
  /** What is stayed in has no sets: how long each stays is their own. */
  hasSets: boolean
  canShorten: boolean
  /** Which of the working blocks it is, and of how many. */
  at: number
  of: number
}) {
  const { busy, problem, edit } = useEdit(classId)
  const tools: Tool[] = [
    ...(hasSets
      ? ([
          { label: 'A set more', can: true, edit: { kind: 'length', purpose, more: true } },
          { label: 'A set less', can: canShorten, edit: { kind: 'length', purpose, more: false } },
        ] satisfies Tool[])
      : []),
    { label: 'Earlier', can: at > 0, edit: { kind: 'move', purpose, to: at - 1 } },
    { label: 'Later', can: at < of - 1, edit: { kind: 'move', purpose, to: at + 1 } },
  ]
  return (
    <>
      {tools.map(({ label, can, edit: change }) => (
        <Button
          key={label}
          size="compact-md"
          disabled={busy || !can}
          aria-label={`${label}: ${title}`}
          onClick={() => edit(change)}
        >
          {label}
        </Button>
      ))}
      <FormProblem message={problem} />
    </>
  )
}
