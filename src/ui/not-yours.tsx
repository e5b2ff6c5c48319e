import { Stack, Text, Title } from '@mantine/core'
import type { Asker, Level } from '@/core/access/roles'
import { LinkButton } from './link-button'

/** In place of a page that is not for whoever is signed in: whose it is, and where their own work is. */
export function NotYours({ role, level }: { role: Asker; level: Level }) {
  return (
    <Stack align="flex-start">
      <Title order={1}>Not open here</Title>
      <Text>
        {level === 'owner'
          ? 'This page is for the owner of the studio.'
          : 'This page is for the teachers of the studio.'}{' '}
        {role === 'device'
          ? 'A paired tablet does what is done on the floor.'
          : 'Ask one of them, or let them sign in here.'}
      </Text>
      <LinkButton variant="filled" href={role === 'device' ? '/teach' : '/'}>
        {role === 'device' ? 'To the classes' : 'To Today'}
      </LinkButton>
    </Stack>
  )
}
