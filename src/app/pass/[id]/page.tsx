import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { PassRound } from '@/features/health/components/pass-round'
import { passData } from '@/features/health/queries'

export const metadata: Metadata = { title: 'Your turn' }

export default async function PassPage({
  params,
  searchParams,
}: {
  params: Promise<{ id: string }>
  searchParams: Promise<{ ask?: string }>
}) {
  const { id } = await params
  const { ask } = await searchParams
  const data = passData(id)
  if (!data) notFound()
  return <PassRound data={data} asks={ask === 'health' ? 'health' : 'check-in'} back={`/teach/${id}/door`} />
}
