import { Group, Text, Title } from '@mantine/core'
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
    <Group justify="space-between" align="center" mb="sm" gap="sm">
      <Group gap="4px 14px" align="baseline">
        <Title order={1} fz={{ base: 24, sm: 28 }}>
          {title}
        </Title>
        {lead ? (
          <Text component="div" c="dimmed" maw={640}>
            {lead}
          </Text>
        ) : null}
      </Group>
      <Group className="no-print">{children}</Group>
    </Group>
  )
}
