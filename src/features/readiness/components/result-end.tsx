'use client'

import { Checkbox, Textarea } from '@mantine/core'
import { FormEnd } from '@/ui/form-shell'
import type { Fields } from '../../use-form'

type Values = { watched: boolean; aided: boolean; note: string }

/** How every form for a result ends: who saw it, what helped, a note, and the button that stores it. */
export function ResultEnd({
  field,
  tick,
  aidLabel,
  busy,
  corrects,
  stored,
  children,
}: Pick<Fields<Values>, 'field' | 'tick'> & {
  aidLabel: string
  busy: boolean
  /** Whether it stands in for an earlier entry. */
  corrects: boolean
  stored: boolean
  /** What stands between the ticks and the note. */
  children?: React.ReactNode
}) {
  return (
    <>
      <Checkbox label="Somebody watched only this person" {...tick('watched')} />
      <Checkbox label={aidLabel} {...tick('aided')} />
      {children}
      <Textarea label="Note" autosize {...field('note')} />
      <FormEnd
        label={corrects ? 'Save the correction' : 'Save result'}
        busy={busy}
        said={stored ? 'Saved.' : ''}
      />
    </>
  )
}
