import type { Metadata } from 'next'
import { IncidentForm } from '@/features/incidents/components/incident-page'
import { incidentForm } from '@/features/incidents/queries'
import { PageHead } from '@/ui/page-head'
import { SafetyLine } from '@/ui/safety-line'
import { page } from '@/features/page'

export const metadata: Metadata = { title: 'Report' }

export default page((ctx) => {
  return (
    <>
      <PageHead title="What happened?" lead="People first. Write while it is fresh." />
      <IncidentForm {...incidentForm(ctx)} />
      <SafetyLine />
    </>
  )
})
