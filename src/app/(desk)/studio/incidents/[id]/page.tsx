import { Stack, Text, Title } from '@mantine/core'
import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { LayerBar } from '@/features/health/components/layer-bar'
import { LAYER_OPEN_MS } from '@/features/layer-sessions'
import { ToldSince } from '@/features/incidents/components/told-since'
import { incidentView } from '@/features/incidents/queries'
import { LinkButton } from '@/ui/link-button'
import { PageHead } from '@/ui/page-head'
import { PrintButton } from '@/ui/print-button'
import { page } from '@/features/page'

export const metadata: Metadata = { title: 'Report' }

export default page<{ params: Promise<{ id: string }> }>(async (ctx, { params }) => {
  const { id } = await params
  if (!ctx.privacy.notesOpen)
    return (
      <Stack>
        <PageHead
          title="The report is kept"
          lead="It is sealed with the health notes: open them to read or print it."
        >
          <LinkButton href="/studio/incidents">All reports</LinkButton>
        </PageHead>
        <LayerBar open={false} withWord={ctx.studio.passHash !== null} openMs={LAYER_OPEN_MS} />
      </Stack>
    )
  const view = incidentView(ctx, id)
  if (!view) notFound()
  return (
    <Stack maw={760}>
      <PageHead title="Incident report" lead={`${view.studio}. ${view.when}, written ${view.written}.`}>
        <PrintButton />
        <LinkButton href="/studio/incidents">All reports</LinkButton>
      </PageHead>
      {view.toTell.length > 0 ? <ToldSince key={view.toTell.join()} id={id} toTell={view.toTell} /> : null}
      {view.lines.map((line) => (
        <section key={line.label}>
          <Title order={2} fz="md">
            {line.label}
          </Title>
          <Text style={{ whiteSpace: 'pre-wrap' }}>{line.text}</Text>
        </section>
      ))}
      <Text mt="xl">Signature ______________________ Date ____________</Text>
    </Stack>
  )
})
