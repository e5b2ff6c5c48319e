import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { ApproachList } from '@/features/approaches/components/approach-list'
import { approachPage } from '@/features/approaches/queries'
import { PageHead } from '@/ui/page-head'

export const metadata: Metadata = { title: 'How we work' }

export default async function ApproachesPage({
  searchParams,
}: {
  searchParams: Promise<{ scope?: string; id?: string }>
}) {
  const { scope = 'teacher', id = '' } = await searchParams
  const page = approachPage(scope, scope === 'teacher' ? '' : id)
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
}
