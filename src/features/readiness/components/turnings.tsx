import { Group, Stack, Text } from '@mantine/core'
import { TextLink } from '@/ui/text-link'
import { StatusMark } from '@/ui/status-mark'
import { Section } from '@/ui/section'
import type { TurningView } from '../person-queries'

/** Turning points before the rest is folded away. */
const SHOWN = 4

/** How the answer has changed, newest first: made anew from what was known on each day. */
export function Turnings({ turnings, href }: { turnings: readonly TurningView[] | null; href: string }) {
  if (turnings === null) return <TextLink href={href}>How the answer has changed</TextLink>
  if (turnings.length < 2) return <Text c="dimmed">The answer has not changed yet.</Text>
  const [first, rest] = [turnings.slice(0, SHOWN), turnings.slice(SHOWN)]
  return (
    <Section title="How the answer has changed" className="card" mb="xs">
      <Points points={first} />
      {rest.length === 0 ? null : (
        <details>
          <summary>{rest.length} earlier</summary>
          <Points points={rest} />
        </details>
      )}
    </Section>
  )
}

function Points({ points }: { points: readonly TurningView[] }) {
  return (
    <Stack component="ol" gap={6} p={0} m={0} style={{ listStyle: 'none' }}>
      {points.map((t) => (
        <Group key={t.day} component="li" gap="sm" align="flex-start">
          <Text w={100} style={{ flexShrink: 0 }}>
            {t.dayLabel}
          </Text>
          <StatusMark outcome={t.outcome} size={20} />
          <Text size="sm" flex="1 1 180px">
            {t.text}
          </Text>
        </Group>
      ))}
    </Stack>
  )
}
