import { Stack, Text } from '@mantine/core'
import type { Metadata } from 'next'
import { page } from '@/features/page'
import { PracticeIn, PracticeOut } from '@/features/practice-own/components/practice-file'
import { ownEntries } from '@/features/practice-own/queries'
import { LinkButton } from '@/ui/link-button'
import { PageHead } from '@/ui/page-head'
import { TextLink } from '@/ui/text-link'

export const metadata: Metadata = { title: 'Our own practice' }

export default page((ctx) => {
  const entries = ownEntries(ctx) ?? []
  return (
    <Stack>
      <PageHead
        title="What do we say or ask in our own way?"
        lead="Plans, decisions and sheets here follow it. Each entry’s page has the practice’s own beside it, and the way back."
      >
        {entries.length === 0 ? null : <PracticeOut />}
        <LinkButton href="/library">Library</LinkButton>
      </PageHead>
      {entries.length === 0 ? (
        <Text>
          Nothing yet: everything stands as the practice has it. To change a step, a drill, a check or a
          fault, open its page in the Library.
        </Text>
      ) : (
        <ul aria-label="In our own way">
          {entries.map(({ id, name, kind, what }) => (
            <li key={id}>
              <TextLink href={`/library/${id}`}>{name}</TextLink> ({kind.toLowerCase()}). {what}
            </li>
          ))}
        </ul>
      )}
      <PracticeIn />
    </Stack>
  )
})
