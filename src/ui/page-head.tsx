import { Group, Stack, Text, Title } from '@mantine/core'
import type { ReactNode } from 'react'

/** A page's heading is its question; beside it the one thing to do. */
export function PageHead({
  title,
  lead,
  children,
}: {
  title: string
  lead?: ReactNode
  children?: ReactNode
}) {
  return (
    <Group justify="space-between" align="flex-start" mb="lg" gap="sm">
      <Stack gap={2}>
        <Title order={1} fz={{ base: 26, sm: 32 }}>
          {title}
        </Title>
        {lead ? (
          <Text c="dimmed" maw={640}>
            {lead}
          </Text>
        ) : null}
      </Stack>
      <Group className="no-print">{children}</Group>
    </Group>
  )
}
