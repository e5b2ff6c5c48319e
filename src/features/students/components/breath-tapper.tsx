'use client'

import { Button, Group, Text } from '@mantine/core'
import { useRef, useState } from 'react'

const BREATHS = 5

/** Tap at the start of each of five breaths: the mean of what lies between is this person's breath. */
export function BreathTapper({ onMeasured }: { onMeasured: (seconds: number) => void }) {
  const taps = useRef<number[]>([])
  const [count, setCount] = useState(0)

  const tap = (atMs: number): void => {
    // Monotonic event time: a clock that is set meanwhile changes nothing.
    taps.current = count === 0 ? [atMs] : [...taps.current, atMs]
    const next = taps.current.length
    if (next <= BREATHS) {
      setCount(next)
      return
    }
    const [first = 0] = taps.current
    onMeasured(Math.round(((atMs - first) / BREATHS / 1000) * 10) / 10)
    setCount(0)
  }
  return (
    <Group gap="xs">
      <Button onClick={(event) => tap(event.timeStamp)}>
        {count === 0 ? 'Time five breaths' : 'Tap at each in-breath'}
      </Button>
      <Text role="status">{count === 0 ? '' : `${count - 1} of ${BREATHS} breaths`}</Text>
    </Group>
  )
}
