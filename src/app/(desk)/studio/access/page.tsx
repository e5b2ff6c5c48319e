import { Stack, Text } from '@mantine/core'
import type { Metadata } from 'next'
import { AccountsCard } from '@/features/access/components/accounts-card'
import { SignInsCard, TabletCard } from '@/features/access/components/sign-ins-card'
import { TrailTable } from '@/features/access/components/trail-table'
import { accessView, trailView } from '@/features/access/queries'
import { page } from '@/features/page'
import { PageHead } from '@/ui/page-head'
import { Section } from '@/ui/section'

export const metadata: Metadata = { title: 'Who may sign in' }

export default page((ctx) => {
  const { open, accounts, signIns } = accessView(ctx)
  return (
    <Stack maw={980}>
      <PageHead title="Who may sign in?" lead="And who opened or changed what is private" />
      <AccountsCard accounts={accounts} open={open} />
      {open ? null : (
        <>
          <TabletCard />
          <SignInsCard signIns={signIns} />
        </>
      )}
      <Section title="The trail" className="card" gap="sm">
        <Text c="dimmed">
          It is added to and never changed. It says that something was opened, never what it said.
        </Text>
        <TrailTable lines={trailView(ctx)} withAbout />
      </Section>
    </Stack>
  )
})
