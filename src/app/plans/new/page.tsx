import type { Metadata } from 'next'
import { NewClassForm } from '@/features/plans/components/new-class-form'
import { newClassData } from '@/features/plans/queries'
import { PageHead } from '@/ui/page-head'

export const metadata: Metadata = { title: 'New class' }

export default async function NewClassPage({ searchParams }: { searchParams: Promise<{ group?: string }> }) {
  const { group } = await searchParams
  return (
    <>
      <PageHead title="Who, where, how long?" />
      <NewClassForm key={group ?? ''} {...newClassData(group)} />
    </>
  )
}
