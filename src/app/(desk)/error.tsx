'use client'

import { Button, Group, Stack, Text, Title } from '@mantine/core'
import { LinkButton } from '@/ui/link-button'

export default function PageError({
  error,
  reset,
}: {
  error: Error & { digest?: string }
  reset: () => void
}) {
  return (
    <Stack align="flex-start">
      <Title order={1}>This page stumbled</Title>
      <Text>Nothing that was stored is lost. Try once more, or go back to Today.</Text>
      {error.digest ? <Text c="dimmed">It is noted under {error.digest}.</Text> : null}
      <Group>
        <Button variant="filled" onClick={reset}>
          Try once more
        </Button>
        <LinkButton href="/">Back to Today</LinkButton>
      </Group>
    </Stack>
  )
}
