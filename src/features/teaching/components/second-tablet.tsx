'use client'

import { Anchor, Text } from '@mantine/core'
import { useSyncExternalStore } from 'react'
import { pretendedTablet } from '@/device/tablet'

/** Which tablet a window is does not change while it is open. */
const never = (): (() => void) => () => undefined

/** A window that plays another tablet, to try how two devices meet; in that window, that it is one. */
export function SecondTablet({ classId }: { classId: string }) {
  const tablet = useSyncExternalStore(never, pretendedTablet, () => '')
  return tablet === '' ? (
    <Anchor href={`/teach/${classId}?tablet=2`} target="_blank" rel="noopener" className="no-print">
      Try it with a second tablet, in a window that plays one
    </Anchor>
  ) : (
    <Text role="note" fw={600}>
      This window plays tablet {tablet}: its taps are kept and sent as another device’s.
    </Text>
  )
}
