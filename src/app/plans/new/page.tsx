import type { Metadata } from 'next'
import { NewClassForm } from '@/features/plans/components/new-class-form'
import { newClassData } from '@/features/plans/queries'
import { PageHead } from '@/ui/page-head'

export const metadata: Metadata = { title: 'New class' }

export default function NewClassPage() {
  return (
    <>
      <PageHead title="Who, where, how long?" />
      <NewClassForm {...newClassData()} />
    </>
  )
}
