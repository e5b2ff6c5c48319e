import { Group } from '@mantine/core'
import { LinkButton } from './link-button'

/** Ways on from a page of a long list; nothing where this page holds all of it. */
export function Earlier({ links }: { links: readonly (readonly [label: string, href: string] | null)[] }) {
  const there = links.filter((link) => link !== null)
  if (there.length === 0) return null
  return (
    <Group component="nav" aria-label="More of this list" mt="md">
      {there.map(([label, href]) => (
        <LinkButton key={href} href={href}>
          {label}
        </LinkButton>
      ))}
    </Group>
  )
}
