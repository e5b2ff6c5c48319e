'use client'

import { Button, Group, Stack, Text } from '@mantine/core'
import { useCallback, useEffect, useState } from 'react'
import type { DosePart } from '@/core/practice/dose-run'
import { formatClock } from '@/core/units'
import { saidOfPart } from '@/core/words/dose-part'
import { useStopwatch } from '@/device/use-stopwatch'

/** A dose run part by part: holds and rests by the clock, repetitions by a tap; each part says what it is. */
export function DoseRunner({ parts }: { parts: readonly DosePart[] }) {
  const [at, setAt] = useState<number | null>(null)
  const { seconds, start, reset } = useStopwatch()
  const part = at === null ? undefined : parts[at]
  const left = part && part.kind !== 'reps' ? Math.max(0, part.seconds - seconds) : null
  const go = useCallback(
    (next: number): void => {
      setAt(next)
      if (next < parts.length) start()
      else reset()
    },
    [parts.length, start, reset],
  )
  // A timed part ends by itself; a count ends with a tap.
  useEffect(() => {
    if (at === null || !part || part.kind === 'reps') return
    const timer = setTimeout(() => go(at + 1), part.seconds * 1000)
    return () => clearTimeout(timer)
  }, [at, part, go])

  if (parts.length === 0) return null
  if (at === null || at >= parts.length)
    return (
      <Group className="no-print">
        <Button variant="filled" size="lg" mih={56} onClick={() => go(0)}>
          {at === null ? 'Run it' : 'Once more'}
        </Button>
        <Text role="status">{at === null ? '' : 'Done. Rest a moment.'}</Text>
      </Group>
    )
  return (
    <Stack gap="xs" className="no-print card" role="group" aria-label="Running">
      <Text fz="xl" fw={650} aria-live="polite">
        {part ? saidOfPart(part) : ''}
      </Text>
      {left === null ? null : (
        <Text fz={52} fw={650} lh={1} role="timer" aria-label="Time left in this part">
          {formatClock(Math.ceil(left))}
        </Text>
      )}
      <Group>
        <Button variant="filled" size="lg" mih={56} onClick={() => go(at + 1)}>
          {left === null ? 'Done' : 'Next'}
        </Button>
        <Button size="lg" mih={56} onClick={() => go(parts.length)}>
          Stop
        </Button>
        <Text c="dimmed">
          Part {at + 1} of {parts.length}
        </Text>
      </Group>
    </Stack>
  )
}
