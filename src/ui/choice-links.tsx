import { Group } from '@mantine/core'
import { TextLink } from './text-link'

/** One of several views by links, the one that is on marked. */
export function ChoiceLinks({
  label,
  now,
  of,
}: {
  label: string
  /** The key of the one that is on; null where none is. */
  now: string | null
  of: readonly { key: string; label: string; href: string }[]
}) {
  return (
    <Group component="nav" aria-label={label} gap="md" mb={6}>
      {of.map(({ key, label: said, href }) => (
        <TextLink
          key={key}
          href={href}
          fw={key === now ? 700 : 400}
          underline={key === now ? 'always' : 'hover'}
          aria-current={key === now ? 'page' : undefined}
        >
          {said}
        </TextLink>
      ))}
    </Group>
  )
}
