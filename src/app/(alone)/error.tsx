'use client'

import { Button, Stack, Text, Title } from '@mantine/core'

export default function AloneError({ reset }: { error: Error; reset: () => void }) {
  return (
    <Stack align="flex-start">
      <Title order={1}>This page stumbled</Title>
      <Text>Nothing that was stored is lost. Try once more, or tell your teacher.</Text>
      <Button variant="filled" onClick={reset}>
        Try once more
      </Button>
    </Stack>
  )
}
