import type { ReactNode } from 'react'
import { FloorLog } from '@/features/facts/components/floor-log'
import { StoreRefused } from '@/features/studio/components/store-refused'
import { shellHere } from '@/features/studio/shell'
import { WordingProvider } from '@/ui/wording'

/** A tablet that goes from hand to hand: its clock and what waits on it, and nothing that is shown. */
export default async function PassLayout({ children }: { children: ReactNode }) {
  const shell = await shellHere()
  if ('refusal' in shell) return <StoreRefused {...shell} />
  return (
    <WordingProvider value={{ units: shell.units, propNames: shell.propNames }}>
      <FloorLog nowMs={shell.nowMs} timeZone={shell.timeZone} hidden={shell.hidden} />
      {children}
    </WordingProvider>
  )
}
