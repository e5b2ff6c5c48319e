'use client'

import { Button, Checkbox, Group, Text, Textarea } from '@mantine/core'

type Values = { watched: boolean; aided: boolean; note: string }

/** How every form for a result ends: who saw it, what helped, a note, and the button that stores it. */
export function ResultEnd({
  values,
  aidLabel,
  noteProblem,
  busy,
  corrects,
  stored,
  onChange,
  children,
}: {
  values: Values
  aidLabel: string
  noteProblem: string | undefined
  busy: boolean
  /** Whether it stands in for an earlier entry. */
  corrects: boolean
  stored: boolean
  onChange: (part: Partial<Values>) => void
  /** What stands between the ticks and the note. */
  children?: React.ReactNode
}) {
  return (
    <>
      <Checkbox
        label="Somebody watched only this person"
        checked={values.watched}
        onChange={(e) => onChange({ watched: e.currentTarget.checked })}
      />
      <Checkbox
        label={aidLabel}
        checked={values.aided}
        onChange={(e) => onChange({ aided: e.currentTarget.checked })}
      />
      {children}
      <Textarea
        label="Note"
        autosize
        value={values.note}
        error={noteProblem}
        onChange={(e) => onChange({ note: e.currentTarget.value })}
      />
      <Group>
        <Button type="submit" loading={busy}>
          {corrects ? 'Save the correction' : 'Save result'}
        </Button>
        <Text role="status">{stored ? 'Saved.' : ''}</Text>
      </Group>
    </>
  )
}
