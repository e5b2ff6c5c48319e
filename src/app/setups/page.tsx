import type { Metadata } from 'next'
import { SetupBench } from '@/features/setups/components/setup-bench'
import { benchData } from '@/features/setups/queries'
import { PageHead } from '@/ui/page-head'
import { SafetyLine } from '@/ui/safety-line'

export const metadata: Metadata = { title: 'Setups' }

export default async function SetupsPage({
  searchParams,
}: {
  searchParams: Promise<{ student?: string; setup?: string }>
}) {
  const { student, setup } = await searchParams
  const data = benchData()
  const initialStudent = data.people.some((p) => p.id === student) ? (student ?? null) : null
  const initialSetup = data.setups.some((s) => s.id === setup)
    ? (setup ?? '')
    : 'SETUP-wall-kick-forearm-block'
  return (
    <>
      <PageHead title="Where do the hands go?" lead="For this body and this wall, to scale." />
      <SetupBench
        key={`${initialStudent ?? ''} ${initialSetup}`}
        {...data}
        initialStudent={initialStudent}
        initialSetup={initialSetup}
      />
      <SafetyLine />
    </>
  )
}
