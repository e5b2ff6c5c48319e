import '@mantine/core/styles.css'
import '@mantine/charts/styles.css'
import '@mantine/spotlight/styles.css'
import '@fontsource-variable/source-sans-3'
import '../ui/global.css'
import { ColorSchemeScript, mantineHtmlProps } from '@mantine/core'
import type { Metadata, Viewport } from 'next'
import type { ReactNode } from 'react'
import { hideLimits } from '@/features/health/layer-actions'
import { FloorLog } from '@/features/facts/components/floor-log'
import { findEntries } from '@/features/studio/actions'
import { shellHere } from '@/features/studio/shell'
import { StoreRefused } from '@/features/studio/components/store-refused'
import { UnitSwitch } from '@/features/studio/components/unit-switch'
import { Shell } from '@/ui/shell/shell'
import { ThemeProvider } from '@/ui/theme-provider'
import { WordingProvider } from '@/ui/wording'

export const metadata: Metadata = {
  title: { default: 'Levitar', template: '%s · Levitar' },
  description: 'Preparing inversions and arm balances',
}
export const viewport: Viewport = { width: 'device-width', initialScale: 1 }
// Every page shows what is stored now.
export const dynamic = 'force-dynamic'

export default async function RootLayout({ children }: { children: ReactNode }) {
  const shell = await shellHere()
  return (
    <html lang="en" {...mantineHtmlProps}>
      <head>
        <ColorSchemeScript defaultColorScheme="auto" />
      </head>
      <body>
        <ThemeProvider>
          {'refusal' in shell ? (
            <StoreRefused {...shell} />
          ) : (
            <WordingProvider value={{ units: shell.units, propNames: shell.propNames }}>
              <Shell
                studioName={shell.studioName}
                findEntries={findEntries}
                unitSwitch={<UnitSwitch units={shell.units} />}
                floorLog={<FloorLog nowMs={shell.nowMs} timeZone={shell.timeZone} hidden={shell.hidden} />}
                isPrivate={shell.hidden}
                onPrivate={hideLimits}
              >
                {children}
              </Shell>
            </WordingProvider>
          )}
        </ThemeProvider>
      </body>
    </html>
  )
}
