import type { Metadata } from 'next'
import { benchData, opensWith } from '@/features/setups/queries'
import { PageHead } from '@/ui/page-head'
import { SafetyLine } from '@/ui/safety-line'
import { Bench } from './bench'
import { page } from '@/features/page'

export const metadata: Metadata = { title: 'Setups' }

export default page<{
  searchParams: Promise<{ student?: string; setup?: string; step?: string }>
}>(async (ctx, { searchParams }) => {
  const { student, setup, step } = await searchParams
  const data = benchData(ctx, student)
  const person = data.people.find((p) => p.id === student)
  const initialSetup = data.setups.some((s) => s.id === setup)
    ? (setup ?? '')
    : ((person && data.first?.next[0]) ?? 'SETUP-wall-kick-forearm-block')
  return (
    <>
      <PageHead title="Where do the hands go?" lead="For this body and this wall, to scale." />
      <Bench
        key={`${person?.id ?? ''} ${initialSetup} ${step ?? ''}`}
        {...data}
        initialStudent={person?.id ?? null}
        initialSetup={initialSetup}
        initialOptions={opensWith(ctx, initialSetup, step)}
      />
      <SafetyLine />
    </>
  )
})
