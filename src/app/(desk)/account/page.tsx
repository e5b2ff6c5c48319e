import { Stack, Text } from '@mantine/core'
import type { Metadata } from 'next'
import { LeaveButtons, PasswordCard } from '@/features/access/components/own-account'
import { SecondFactorCard } from '@/features/access/components/second-factor-card'
import { SignInsCard } from '@/features/access/components/sign-ins-card'
import { ownAccount } from '@/features/access/queries'
import { ROLE_WORDS } from '@/features/access/role-words'
import { page } from '@/features/page'
import { LinkButton } from '@/ui/link-button'
import { PageHead } from '@/ui/page-head'

export const metadata: Metadata = { title: 'Your account' }

export default page((ctx) => {
  const own = ownAccount(ctx)
  if (ctx.actor.role === 'device')
    return (
      <Stack maw={760}>
        <PageHead title="A tablet of the studio" lead={`It is called “${ctx.actor.name}”.`} />
        <LeaveButtons canLock={false} />
      </Stack>
    )
  if (!own)
    return (
      <Stack maw={760} align="flex-start">
        <PageHead title="Nobody has to sign in yet" lead="Whoever sits at this machine is the owner." />
        <Text>
          {ctx.studio.demoAsOf === null ? '' : 'The demo signs in by itself. '}As long as there is no account,
          only this machine comes in. Make one before anybody else works with it.
        </Text>
        <LinkButton variant="filled" href="/studio/access">
          Who may sign in
        </LinkButton>
      </Stack>
    )
  return (
    <Stack maw={760}>
      <PageHead title={own.account.name} lead={ROLE_WORDS[own.account.role].may} />
      <LeaveButtons canLock />
      <PasswordCard />
      <SecondFactorCard isSet={own.account.second} />
      <SignInsCard signIns={own.signIns} />
    </Stack>
  )
})
