import type { Metadata } from 'next'
import { RoomForm } from '@/features/studio/components/room-form'
import { roomValues, studioSettings } from '@/features/studio/queries'
import { PageHead } from '@/ui/page-head'

export const metadata: Metadata = { title: 'Studio' }

export default function StudioPage() {
  return (
    <>
      <PageHead title="What is in the room?" lead="Plans count bays and props from here." />
      <RoomForm key={studioSettings().units} initial={roomValues()} />
    </>
  )
}
