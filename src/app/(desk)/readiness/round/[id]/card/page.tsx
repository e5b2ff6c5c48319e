import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { CheckCard } from '@/features/readiness/components/check-card'
import { cardOf } from '@/features/readiness/round-queries'
import { page } from '@/features/page'

export const metadata: Metadata = { title: 'Check card' }

export default page<{
  params: Promise<{ id: string }>
  searchParams: Promise<{ checks?: string }>
}>(async (ctx, { params, searchParams }) => {
  const data = cardOf(ctx, (await params).id, (await searchParams).checks)
  if (!data) notFound()
  return <CheckCard card={data} />
})
