import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { ApproachList } from '@/features/approaches/components/approach-list'
import { approachPage } from '@/features/approaches/queries'
import { PageHead } from '@/ui/page-head'
import { page } from '@/features/page'

export const metadata: Metadata = { title: 'How we work' }

export default page<{
  searchParams: Promise<{ scope?: string; id?: string }>
}>(async (ctx, { searchParams }) => {
  const { scope = 'teacher', id = '' } = await searchParams
  const page = approachPage(ctx, scope, scope === 'teacher' ? '' : id)
  if (!page) notFound()
  return (
    <>
      <PageHead
        title="How do you work?"
        lead={`For ${page.of}. Good teachers differ here; each way has its reason and its price, and nothing is chosen for you.`}
      />
      <ApproachList key={`${page.scope} ${page.scopeId}`} page={page} />
    </>
  )
})
