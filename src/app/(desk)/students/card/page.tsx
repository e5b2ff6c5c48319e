import { List, ListItem, Stack, Text, Title } from '@mantine/core'
import type { Metadata } from 'next'
import { intakeQuestions } from '@/features/health/queries'
import { PageHead } from '@/ui/page-head'
import { PrintButton } from '@/ui/print-button'
import { page } from '@/features/page'

export const metadata: Metadata = { title: 'Card to fill in' }

/** The intake on paper, for whoever would rather write. */
export default page((ctx) => {
  return (
    <Stack maw={820}>
      <PageHead title="What should be known?" lead="For whoever would rather write. Copy it in and shred it.">
        <PrintButton />
      </PageHead>
      <Text>
        These questions help to choose versions that suit you. Answer as much or as little as you like:
        “rather not say” is always fine, you then get the gentler version and nobody asks why. Your teacher is
        not a clinician; where a question raises a doubt, please ask one.
      </Text>
      <Text fz="lg">Name ______________________ Date ____________</Text>
      <Text>☐ I have read the list and none of it applies to me.</Text>
      <Text>☐ Gentler versions, please. No reason needed.</Text>
      <Title order={2}>Or one by one</Title>
      <List type="ordered" spacing="xs">
        {intakeQuestions(ctx).map((q) => (
          <ListItem key={q.id}>
            {q.question}
            <br />☐ No ☐ Yes ☐ Not sure ☐ Rather not say
            {q.options.length > 1 ? <> · if yes: {q.options.map((o) => `☐ ${o.label}`).join('  ')}</> : null}
          </ListItem>
        ))}
      </List>
    </Stack>
  )
})
