'use client'

import { MantineProvider, type CSSVariablesResolver } from '@mantine/core'
import type { ReactNode } from 'react'
import { theme } from './theme'

/** Mantine's own tokens follow the house's; both schemes define them in global.css. */
const OURS = {
  '--mantine-color-body': 'var(--paper)',
  '--mantine-color-text': 'var(--ink)',
  '--mantine-color-dimmed': 'var(--ink-soft)',
  '--mantine-color-default': 'var(--sheet)',
  '--mantine-color-default-border': 'var(--rule)',
  '--mantine-color-anchor': 'var(--accent)',
  '--mantine-color-error': 'var(--error-ink)',
}
const cssVariables: CSSVariablesResolver = () => ({ variables: {}, light: OURS, dark: OURS })

/** The look of the house round everything. */
export function ThemeProvider({ children }: { children: ReactNode }) {
  return (
    <MantineProvider theme={theme} defaultColorScheme="auto" cssVariablesResolver={cssVariables}>
      {children}
    </MantineProvider>
  )
}
