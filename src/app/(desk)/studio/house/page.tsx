import { Divider, Stack } from '@mantine/core'
import type { Metadata } from 'next'
import { LayerBar } from '@/features/health/components/layer-bar'
import { PassForm } from '@/features/health/components/pass-form'
import { LAYER_OPEN_MS } from '@/features/layer-sessions'
import { HouseForm } from '@/features/studio/components/house-form'
import { floorView } from '@/features/studio/queries'
import { PageHead } from '@/ui/page-head'
import { page } from '@/features/page'
import { KeyPanel } from '@/features/health/components/key-panel'
import { printedCode } from '@/features/health/queries'

export const metadata: Metadata = { title: 'House rules' }

export default page((ctx) => {
  const open = ctx.privacy.notesOpen
  const withWord = ctx.studio.passHash !== null
  return (
    <Stack>
      <PageHead
        title="What holds for everybody here?"
        lead="Teacher, class and student settings can be stricter than this, never looser."
      />
      <HouseForm {...floorView(ctx)} />
      <Divider className="no-print" />
      <LayerBar open={open} withWord={withWord} openMs={LAYER_OPEN_MS} />
      {open ? <PassForm set={withWord} /> : null}
      <KeyPanel state={ctx.health.code} code={printedCode(ctx)} />
    </Stack>
  )
})
