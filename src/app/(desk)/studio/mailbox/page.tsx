import { Stack, Text } from '@mantine/core'
import type { Metadata } from 'next'
import { mailboxView } from '@/features/home/mailbox-queries'
import { page } from '@/features/page'
import { PageHead } from '@/ui/page-head'

export const metadata: Metadata = { title: 'Mailbox' }

export default page((ctx) => {
  const messages = mailboxView(ctx)
  return (
    <Stack maw={760}>
      <PageHead title="What would have been sent?" lead="Two weeks back and one ahead" />
      <Text>
        Nothing leaves this machine. This stands in for a mail service: who has a private link to a week at
        home would get it, and a word the evening before each session.
      </Text>
      {messages.length === 0 ? (
        <Text c="dimmed">Nothing yet. Make a private link on somebody’s page for practice at home.</Text>
      ) : null}
      {messages.map((m) => (
        <section key={m.id} className="card" aria-label={`To ${m.to}, ${m.when}`}>
          <Text c="dimmed">
            To {m.to}, {m.when}
            {m.toCome ? ', still to come' : ''}
          </Text>
          <Text fw={650}>{m.subject}</Text>
          {m.body.map((line) => (
            <Text key={line}>{line}</Text>
          ))}
        </section>
      ))}
    </Stack>
  )
})
