import '@mantine/core/styles.css'
import '@mantine/charts/styles.css'
import '@mantine/spotlight/styles.css'
import '@fontsource-variable/source-sans-3'
import '../ui/global.css'
import { ColorSchemeScript, mantineHtmlProps } from '@mantine/core'
import type { Metadata, Viewport } from 'next'
import type { ReactNode } from 'react'
import { isPrivate } from '@/features/health/layer'
import { hideLimits } from '@/features/health/layer-actions'
import { shellData } from '@/features/studio/queries'
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
  const { studioName, units, propNames, entries } = shellData()
  const hidden = await isPrivate()
  return (
    <html lang="en" {...mantineHtmlProps}>
      <head>
        <ColorSchemeScript defaultColorScheme="auto" />
      </head>
      <body>
        <ThemeProvider>
          <WordingProvider value={{ units, propNames }}>
            <Shell
              studioName={studioName}
              entries={entries}
              unitSwitch={<UnitSwitch units={units} />}
              isPrivate={hidden}
              onPrivate={hideLimits}
            >
              {children}
            </Shell>
          </WordingProvider>
        </ThemeProvider>
      </body>
    </html>
  )
}
