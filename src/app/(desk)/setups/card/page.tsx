import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { SetupCard } from '@/features/setups/components/setup-card'
import { cardData } from '@/features/setups/queries'
import { page } from '@/features/page'

export const metadata: Metadata = { title: 'Setup card' }

export default page<{
  searchParams: Promise<{ setup?: string; student?: string; height?: string; with?: string }>
}>(async (ctx, { searchParams }) => {
  const asked = await searchParams
  const data = cardData(ctx, asked)
  if (!data) notFound()
  return <SetupCard {...data} />
})
