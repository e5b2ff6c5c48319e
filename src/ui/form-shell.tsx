'use client'

import { Stack } from '@mantine/core'
import { FormProblem } from './form-problem'

/**
 * A form as all of ours are: our own sentences instead of the browser’s, what concerns the whole of it on top, fields in
 * a column.
 * @param problem sentence about the whole form, if any
 */
export function FormShell({
  maxWidth,
  problem,
  onSubmit,
  children,
}: {
  maxWidth?: number
  problem?: string | undefined
  onSubmit: () => Promise<unknown>
  children: React.ReactNode
}) {
  return (
    <form
      noValidate
      onSubmit={(event) => {
        event.preventDefault()
        void onSubmit()
      }}
    >
      <Stack {...(maxWidth === undefined ? {} : { maw: maxWidth })}>
        <FormProblem message={problem} />
        {children}
      </Stack>
    </form>
  )
}
