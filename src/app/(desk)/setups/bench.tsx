'use client'

import dynamic from 'next/dynamic'
import { SetupBench } from '@/features/setups/components/setup-bench'
import type { BenchData } from '@/features/setups/queries'

const AskScope = dynamic(() => import('@/features/approaches/components/ask-scope').then((m) => m.AskScope))

/** The bench with the question about ways of working beside it: two parts of the job on one page. */
export function Bench(
  props: BenchData & {
    initialStudent: string | null
    initialSetup: string
    initialOptions?: Readonly<Record<string, number>>
  },
) {
  return (
    <SetupBench
      {...props}
      renderAsk={(asked, person, onDone) => (
        <AskScope asked={asked} person={person} nextClass={props.nextClass} onDone={onDone} />
      )}
    />
  )
}
