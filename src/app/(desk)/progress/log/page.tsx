import { Stack } from '@mantine/core'
import type { Metadata } from 'next'
import { Logbook } from '@/features/teaching/components/logbook'
import { askedFrom, type LogQuery } from '@/features/teaching/log-asked'
import { logbook } from '@/features/teaching/log-queries'
import { page, pageAsked } from '@/features/page'
import { PageHead } from '@/ui/page-head'

export const metadata: Metadata = { title: 'Log' }

export default page<{ searchParams: Promise<LogQuery> }>(async (ctx, { searchParams }) => {
  const query = await searchParams
  const log = logbook(ctx, askedFrom(query), pageAsked(query.page))
  return (
    <Stack>
      <PageHead title="What was recorded, and when?" lead="Every try that stands, newest first" />
      <Logbook log={log} />
    </Stack>
  )
})
