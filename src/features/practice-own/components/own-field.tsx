'use client'

import { NativeSelect, Textarea, TextInput } from '@mantine/core'
import type { OwnField } from '../queries'

/** A line of text up to here, an area beyond, characters. */
const ONE_LINE = 60

/** One field, beside what the practice has. */
export function OwnFieldInput({
  field: { label, practice, range, kind, choices },
  value,
  error,
  onChange,
}: {
  field: OwnField
  value: string
  error: string | undefined
  onChange: (value: string) => void
}) {
  const shared = {
    label,
    value,
    error,
    description: `The practice: ${choices?.find((c) => c.value === practice)?.label ?? practice}${range === '' ? '' : ` (${range})`}`,
  }
  if (choices)
    return (
      <NativeSelect {...shared} maw={320} data={choices} onChange={(e) => onChange(e.currentTarget.value)} />
    )
  return kind === 'text' && practice.length > ONE_LINE ? (
    <Textarea {...shared} autosize minRows={2} onChange={(e) => onChange(e.currentTarget.value)} />
  ) : (
    <TextInput
      {...shared}
      maw={kind === 'number' ? 280 : undefined}
      inputMode={kind === 'number' ? 'decimal' : 'text'}
      onChange={(e) => onChange(e.currentTarget.value)}
    />
  )
}
