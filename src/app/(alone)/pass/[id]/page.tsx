import type { Metadata } from 'next'
import { redirect } from 'next/navigation'
import { EmptyPass } from '@/features/health/components/empty-pass'
import { PassRound } from '@/features/health/components/pass-round'
import { passData } from '@/features/health/queries'
import { page } from '@/features/page'

export const metadata: Metadata = { title: 'Your turn' }

export default page<{
  params: Promise<{ id: string }>
  searchParams: Promise<{ ask?: string }>
}>(async (ctx, { params, searchParams }) => {
  const { id } = await params
  const { ask } = await searchParams
  const data = passData(ctx, id)
  if (!data && ctx.privacy.passed) return <EmptyPass />
  // A link alone passes nothing: whoever is at the tablet does, at the door.
  if (!data || !ctx.privacy.passed) redirect(data ? `/teach/${id}/door` : '/')
  return <PassRound data={data} asks={ask === 'health' ? 'health' : 'check-in'} back={`/teach/${id}/door`} />
})
