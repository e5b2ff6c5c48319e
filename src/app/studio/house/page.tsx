import { Divider, Stack } from '@mantine/core'
import type { Metadata } from 'next'
import { LayerBar } from '@/features/health/components/layer-bar'
import { PassForm } from '@/features/health/components/pass-form'
import { LAYER_OPEN_MS, layerOpen } from '@/features/health/layer'
import { HouseForm } from '@/features/studio/components/house-form'
import { floorView, studioSettings } from '@/features/studio/queries'
import { PageHead } from '@/ui/page-head'

export const metadata: Metadata = { title: 'House rules' }

export default async function HousePage() {
  const open = await layerOpen()
  const withWord = studioSettings().passHash !== null
  return (
    <Stack>
      <PageHead
        title="What holds for everybody here?"
        lead="Teacher, class and student settings can be stricter than this, never looser."
      />
      <HouseForm {...floorView()} />
      <Divider />
      <LayerBar open={open} withWord={withWord} openMs={LAYER_OPEN_MS} />
      {open ? <PassForm set={withWord} /> : null}
    </Stack>
  )
}
