'use client'

import { useEffect } from 'react'

/** Once the page listens, what was pressed before is carried out. */
export function EarlyPresses() {
  useEffect(() => window.earlyPresses?.letGo(), [])
  return null
}
