import '@mantine/core/styles.css'
import '@mantine/charts/styles.css'
import '@mantine/spotlight/styles.css'
import '@fontsource-variable/source-sans-3'
import '../ui/global.css'
import { ColorSchemeScript, mantineHtmlProps } from '@mantine/core'
import type { Metadata, Viewport } from 'next'
import { headers } from 'next/headers'
import type { ReactNode } from 'react'
import { EarlyPresses } from '@/ui/early-press-effect'
import { EarlyPressScript } from '@/ui/early-press-script'
import { ThemeProvider } from '@/ui/theme-provider'

export const metadata: Metadata = {
  title: { default: 'Levitar', template: '%s · Levitar' },
  description: 'Preparing inversions and arm balances',
}
export const viewport: Viewport = { width: 'device-width', initialScale: 1 }
// Every page shows what is stored now.
export const dynamic = 'force-dynamic'

/** What every page has, whoever looks at it. What the teacher's pages have round them stands in `(desk)`. */
export default async function RootLayout({ children }: { children: ReactNode }) {
  const nonce = (await headers()).get('x-nonce') ?? undefined
  return (
    <html lang="en" {...mantineHtmlProps}>
      <head>
        <ColorSchemeScript defaultColorScheme="auto" nonce={nonce} />
        <EarlyPressScript nonce={nonce} />
      </head>
      <body>
        <ThemeProvider>{children}</ThemeProvider>
        <EarlyPresses />
      </body>
    </html>
  )
}
