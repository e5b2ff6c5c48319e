import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { Sheet } from '@/features/plans/components/sheet'
import { planView } from '@/features/plans/plan-queries'
import { page } from '@/features/page'

export const metadata: Metadata = { title: 'Printed sheet' }

export default page<{ params: Promise<{ id: string }> }>(async (ctx, { params }) => {
  const { id } = await params
  const plan = planView(ctx, id)
  if (!plan?.planned) notFound()
  return <Sheet plan={plan} />
})
