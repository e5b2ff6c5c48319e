import { Group, Stack, Text } from '@mantine/core'
import type { Metadata } from 'next'
import { LayerBar } from '@/features/health/components/layer-bar'
import { LAYER_OPEN_MS } from '@/features/layer-sessions'
import { incidentList } from '@/features/incidents/queries'
import { LinkButton } from '@/ui/link-button'
import { PageHead } from '@/ui/page-head'
import { TextLink } from '@/ui/text-link'
import { page } from '@/features/page'

export const metadata: Metadata = { title: 'Incidents' }

export default page((ctx) => {
  const open = ctx.privacy.notesOpen
  const reports = incidentList(ctx)
  return (
    <Stack>
      <PageHead
        title="What went wrong, and what was done?"
        lead="Written the same day. Kept sealed, as your insurer or the law asks; reports are not rewritten."
      >
        <LinkButton variant="filled" href="/studio/incidents/new">
          Write a report
        </LinkButton>
      </PageHead>
      <LayerBar open={open} withWord={ctx.studio.passHash !== null} openMs={LAYER_OPEN_MS} />
      {reports.length === 0 ? <Text>No report so far.</Text> : null}
      {reports.map((r) => (
        <Group key={r.id} className="card" justify="space-between">
          {open ? (
            <TextLink href={`/studio/incidents/${r.id}`} fw={600}>
              {r.what}
            </TextLink>
          ) : (
            <Text fw={600}>{r.what}</Text>
          )}
          <Text>{r.when}</Text>
        </Group>
      ))}
    </Stack>
  )
})
