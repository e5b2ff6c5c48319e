import type { ReactNode } from 'react'
import { QuietLock } from '@/features/access/components/quiet-lock'
import { FloorLog } from '@/features/facts/components/floor-log'
import { hideLimits } from '@/features/health/layer-actions'
import { findEntries } from '@/features/studio/actions'
import { StoreRefused } from '@/features/studio/components/store-refused'
import { UnitSwitch } from '@/features/studio/components/unit-switch'
import { shellHere } from '@/features/studio/shell'
import { Shell } from '@/ui/shell/shell'
import { WordingProvider } from '@/ui/wording'

/** Round the teacher's pages: the rail, what waits on this device, units. */
export default async function DeskLayout({ children }: { children: ReactNode }) {
  const shell = await shellHere()
  if ('refusal' in shell) return <StoreRefused {...shell} />
  return (
    <WordingProvider value={{ units: shell.units, propNames: shell.propNames }}>
      <Shell
        studioName={shell.studioName}
        findEntries={findEntries}
        unitSwitch={<UnitSwitch units={shell.units} />}
        floorLog={<FloorLog nowMs={shell.nowMs} timeZone={shell.timeZone} hidden={shell.hidden} />}
        isPrivate={shell.hidden}
        onPrivate={hideLimits}
        open={shell.open}
        account={shell.account}
      >
        {children}
        {shell.lock ? <QuietLock {...shell.lock} /> : null}
      </Shell>
    </WordingProvider>
  )
}
