import { Stack, Text, Title } from '@mantine/core'
import { LINK_SAID, type LinkClosed } from '@/core/words/private-link'

/** The whole of a page whose private link opens nothing now. */
export function LinkShut({ title, text }: { title: string; text: string }) {
  return (
    <Stack>
      <Title order={1}>{title}</Title>
      <Text>{text}</Text>
    </Stack>
  )
}

/** The same, with why. */
export function LinkIsClosed({ closed }: { closed: LinkClosed }) {
  return <LinkShut {...LINK_SAID[closed]} />
}
