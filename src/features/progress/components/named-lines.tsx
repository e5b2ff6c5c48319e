import { List, ListItem } from '@mantine/core'
import { TextLink } from '@/ui/text-link'
import type { Line } from '../review-queries'

/** People with a sentence each; a name leads to their weeks. */
export function NamedLines({ lines }: { lines: readonly Line[] }) {
  return (
    <List spacing={4}>
      {lines.map(({ id, name, text }) => (
        <ListItem key={id + text}>
          <TextLink href={`/progress/${id}`} fw={600}>
            {name}
          </TextLink>
          : {text}
        </ListItem>
      ))}
    </List>
  )
}
