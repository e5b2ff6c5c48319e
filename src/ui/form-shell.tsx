'use client'

import { Button, Group, Stack, Text, Title, type ButtonProps, type StackProps } from '@mantine/core'
import { FormProblem } from './form-problem'

type ShellProps = {
  /** Heads a form that is a card of its own. */
  title?: string
  label?: string
  className?: string
  maxWidth?: number
  gap?: StackProps['gap']
  mt?: StackProps['mt']
  /** Sentence about the whole form, if any. */
  problem?: string | undefined
  onSubmit: () => Promise<unknown>
  children: React.ReactNode
}

/**
 * A form as all of ours are: our own sentences instead of the browser’s, what concerns the whole of it on top, fields in
 * a column.
 */
export function FormShell({
  title,
  label,
  className,
  maxWidth,
  gap,
  mt,
  problem,
  onSubmit,
  children,
}: ShellProps) {
  return (
    <form
      noValidate
      aria-label={label ?? title}
      className={className ?? (title === undefined ? undefined : 'card')}
      onSubmit={(event) => {
        event.preventDefault()
        void onSubmit()
      }}
    >
      <Stack
        gap={gap ?? (title === undefined ? 'md' : 'sm')}
        mt={mt ?? 0}
        {...(maxWidth === undefined ? {} : { maw: maxWidth })}
      >
        {title === undefined ? null : <Title order={2}>{title}</Title>}
        <FormProblem message={problem} />
        {children}
      </Stack>
    </form>
  )
}

type EndProps = ButtonProps & {
  label: string
  busy: boolean
  /** What came of it, once there is something to say. */
  said?: string
  /** What else may be pressed. */
  children?: React.ReactNode
}

/** How a form ends: the button that sends it, what else may be pressed, and what came of it. */
export function FormEnd({ label, busy, said = '', children, ...button }: EndProps) {
  return (
    <Group>
      <Button variant="filled" type="submit" loading={busy} {...button}>
        {label}
      </Button>
      {children}
      <Text role="status">{said}</Text>
    </Group>
  )
}
