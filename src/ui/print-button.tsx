'use client'

import { Button } from '@mantine/core'

/** Opens the browser's print dialog. */
export function PrintButton() {
  return (
    <Button className="no-print" onClick={() => window.print()}>
      Print
    </Button>
  )
}
