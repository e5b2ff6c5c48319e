import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { SetupCard } from '@/features/setups/components/setup-card'
import { cardData } from '@/features/setups/queries'

export const metadata: Metadata = { title: 'Setup card' }

export default async function CardPage({
  searchParams,
}: {
  searchParams: Promise<{ setup?: string; student?: string; height?: string; with?: string }>
}) {
  const asked = await searchParams
  const data = cardData(asked)
  if (!data) notFound()
  return <SetupCard {...data} />
}
