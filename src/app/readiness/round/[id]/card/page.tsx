import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { CheckCard } from '@/features/readiness/components/check-card'
import { cardOf } from '@/features/readiness/round-queries'

export const metadata: Metadata = { title: 'Check card' }

export default async function CardPage({
  params,
  searchParams,
}: {
  params: Promise<{ id: string }>
  searchParams: Promise<{ checks?: string }>
}) {
  const data = cardOf((await params).id, (await searchParams).checks)
  if (!data) notFound()
  return <CheckCard card={data} />
}
