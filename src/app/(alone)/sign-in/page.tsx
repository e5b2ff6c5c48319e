import { Stack, Text } from '@mantine/core'
import type { Metadata } from 'next'
import { redirect } from 'next/navigation'
import { OwnerCodeForm, PairForm } from '@/features/access/components/code-forms'
import { SignInForm } from '@/features/access/components/sign-in-form'
import { UnlockForm } from '@/features/access/components/unlock-form'
import { nextPage } from '@/features/access/next-page'
import { accessView } from '@/features/access/queries'
import { page } from '@/features/page'

export const metadata: Metadata = { title: 'Sign in' }

export default page<{ searchParams: Promise<{ to?: string | string[] }> }>(async (ctx, { searchParams }) => {
  const { role, locked, name } = ctx.actor
  if (locked) return <UnlockForm name={name} />
  if (role !== 'nobody') redirect(nextPage(ctx, (await searchParams).to))
  const { open } = accessView(ctx)
  return (
    <Stack maw={420} gap="lg" mx="auto" mt="6vh">
      {open ? (
        <Text>
          This studio has no owner yet, so nobody is let in over the network. Make the owner at the machine
          itself.
        </Text>
      ) : (
        <SignInForm />
      )}
      {open ? null : (
        <details>
          <summary>This is a tablet of the studio</summary>
          <PairForm />
        </details>
      )}
      <details open={open}>
        <summary>I have an owner’s code</summary>
        <OwnerCodeForm />
      </details>
    </Stack>
  )
})
