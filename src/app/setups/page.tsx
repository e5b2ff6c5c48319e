import type { Metadata } from 'next'
import { isPrivate } from '@/features/health/layer'
import { benchData } from '@/features/setups/queries'
import { PageHead } from '@/ui/page-head'
import { SafetyLine } from '@/ui/safety-line'
import { Bench } from './bench'

export const metadata: Metadata = { title: 'Setups' }

export default async function SetupsPage({
  searchParams,
}: {
  searchParams: Promise<{ student?: string; setup?: string }>
}) {
  const { student, setup } = await searchParams
  const data = benchData(await isPrivate())
  const person = data.people.find((p) => p.id === student)
  const initialSetup = data.setups.some((s) => s.id === setup)
    ? (setup ?? '')
    : (person?.next[0] ?? 'SETUP-wall-kick-forearm-block')
  return (
    <>
      <PageHead title="Where do the hands go?" lead="For this body and this wall, to scale." />
      <Bench
        key={`${person?.id ?? ''} ${initialSetup}`}
        {...data}
        initialStudent={person?.id ?? null}
        initialSetup={initialSetup}
      />
      <SafetyLine />
    </>
  )
}
