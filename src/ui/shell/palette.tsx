'use client'

import { Spotlight, spotlight, type SpotlightActionData } from '@mantine/spotlight'
import { IconSearch } from '@tabler/icons-react'
import { useEffect } from 'react'

/** Finds a page, a person or a class by name. `asked` counts up each time it is opened. */
export function Palette({ actions, asked }: { actions: SpotlightActionData[]; asked: number }) {
  useEffect(() => spotlight.open(), [asked])
  return (
    <Spotlight
      actions={actions}
      nothingFound="Nothing by that name."
      searchProps={{
        placeholder: 'A page, a person, a class …',
        'aria-label': 'Find a page or a person',
        leftSection: <IconSearch size={20} aria-hidden />,
      }}
      limit={9}
      shortcut={null}
    />
  )
}
