import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { Sheet } from '@/features/plans/components/sheet'
import { planView } from '@/features/plans/queries'

export const metadata: Metadata = { title: 'Printed sheet' }

export default async function SheetPage({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params
  const plan = planView(id)
  if (!plan?.planned) notFound()
  return <Sheet plan={plan} />
}
