import { Alert } from '@mantine/core'

/** A sentence about the whole form; absent when there is nothing to say. */
export function FormProblem({ message }: { message: string | undefined }) {
  if (!message) return null
  return (
    <Alert
      color="clay"
      role="alert"
      title={message}
      variant="light"
      styles={{ title: { color: 'var(--warn-ink)' } }}
    />
  )
}
