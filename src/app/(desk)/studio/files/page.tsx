import { Stack } from '@mantine/core'
import type { Metadata } from 'next'
import { page } from '@/features/page'
import { BringTable } from '@/features/studio-file/components/bring-table'
import { BringIn } from '@/features/studio-file/components/bring-in'
import { RestoreBackup } from '@/features/studio-file/components/restore-backup'
import { TakeOut } from '@/features/studio-file/components/take-out'
import { isEmptyStudio } from '@/features/studio-file/queries'
import { LinkButton } from '@/ui/link-button'
import { PageHead } from '@/ui/page-head'

export const metadata: Metadata = { title: 'In and out' }

export default page((ctx) => {
  const isEmpty = isEmptyStudio(ctx)
  return (
    <Stack>
      <PageHead title="What goes in and out?" lead="Yours to keep, to move and to read elsewhere">
        <LinkButton href="/studio/api">Other programs</LinkButton>
        <LinkButton href="/studio/mailbox">Mailbox</LinkButton>
      </PageHead>
      <TakeOut />
      <BringTable />
      <BringIn isEmpty={isEmpty} />
      {isEmpty ? <RestoreBackup /> : null}
    </Stack>
  )
})
