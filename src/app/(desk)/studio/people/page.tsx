import type { Metadata } from 'next'
import { Helpers } from '@/features/studio/components/helpers-form'
import { helpers } from '@/features/studio/queries'
import { PageHead } from '@/ui/page-head'
import { page } from '@/features/page'

export const metadata: Metadata = { title: 'Who helps' }

export default page((ctx) => {
  return (
    <>
      <PageHead
        title="Who helps with hands?"
        lead="Only in what they were trained for, only where the student says yes, one person at a time."
      />
      <Helpers {...helpers(ctx)} />
    </>
  )
})
