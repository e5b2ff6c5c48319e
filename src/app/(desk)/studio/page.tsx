import { Divider, Stack } from '@mantine/core'
import type { Metadata } from 'next'
import { NamesForm } from '@/features/studio/components/names-form'
import { RoomEditor } from '@/features/studio/components/room-editor'
import { roomView } from '@/features/studio/queries'
import { PageHead } from '@/ui/page-head'
import { page } from '@/features/page'

export const metadata: Metadata = { title: 'Studio' }

export default page((ctx) => {
  const { name, teacher, timeZone, units } = ctx.studio
  const { room, drawn } = roomView(ctx)
  return (
    <Stack>
      <PageHead
        title="What is in the room?"
        lead={
          drawn
            ? 'Plans and Today are drawn from here. The fall zone behind each bay wants 2.3 m clear.'
            : 'Draw it once: plans count bays and mats from here.'
        }
      />
      <RoomEditor key={units} initial={room} />
      <Divider />
      <NamesForm initial={{ name, teacher, timeZone }} />
    </Stack>
  )
})
