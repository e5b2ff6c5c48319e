'use client'

import { SegmentedControl } from '@mantine/core'
import { useSubmit } from '../../use-submit'
import { setUnits } from '../actions'

/** Centimetres or inches, everywhere at once. */
export function UnitSwitch({ units }: { units: 'cm' | 'in' }) {
  const { send, busy } = useSubmit(setUnits)
  return (
    <SegmentedControl
      aria-label="Units"
      size="sm"
      data={[
        { value: 'cm', label: 'cm' },
        { value: 'in', label: 'in' },
      ]}
      value={units}
      disabled={busy}
      onChange={(value) => void send(value)}
    />
  )
}
