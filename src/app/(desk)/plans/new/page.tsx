import type { Metadata } from 'next'
import { NewClassForm } from '@/features/plans/components/new-class-form'
import { newClassData } from '@/features/plans/queries'
import { PageHead } from '@/ui/page-head'
import { page } from '@/features/page'

export const metadata: Metadata = { title: 'New class' }

export default page<{ searchParams: Promise<{ group?: string; from?: string }> }>(
  async (ctx, { searchParams }) => {
    const { group, from } = await searchParams
    return (
      <>
        <PageHead title="Who, where, how long?" />
        <NewClassForm key={group ?? from ?? ''} {...newClassData(ctx, { group, from })} />
      </>
    )
  },
)
