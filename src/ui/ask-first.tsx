'use client'

import { Button } from '@mantine/core'
import { useState } from 'react'

/** A press that cannot be undone asks once more, in place, before it is done. */
export function AskFirst({
  label,
  what,
  onSure,
}: {
  label: string
  /** What would be gone, as it stands on the screen. */
  what: string
  onSure: () => void
}) {
  const [asking, setAsking] = useState(false)
  if (!asking)
    return (
      <Button variant="subtle" c="var(--ink)" onClick={() => setAsking(true)}>
        {label}
      </Button>
    )
  return (
    <>
      <Button
        autoFocus
        onClick={() => {
          setAsking(false)
          onSure()
        }}
      >
        {label}: {what}
      </Button>
      <Button variant="subtle" c="var(--ink)" onClick={() => setAsking(false)}>
        Keep
      </Button>
    </>
  )
}
