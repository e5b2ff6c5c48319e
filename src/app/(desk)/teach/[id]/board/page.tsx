import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { roomBoard } from '@/features/teaching/board-queries'
import { RoomBoard } from '@/features/teaching/components/room-board'
import { page } from '@/features/page'
import { PageHead } from '@/ui/page-head'

export const metadata: Metadata = { title: 'Room display' }

export default page<{ params: Promise<{ id: string }> }>(async (ctx, { params }) => {
  const { id } = await params
  const data = roomBoard(ctx, id)
  if (!data) notFound()
  return (
    <>
      <PageHead title={data.title} />
      <RoomBoard key={id} data={data} />
    </>
  )
})
