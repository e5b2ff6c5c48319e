'use client'

import { Spotlight, spotlight } from '@mantine/spotlight'
import { IconSearch } from '@tabler/icons-react'
import { useEffect, useMemo, useState } from 'react'
import { indexOf, search, type Searched } from '@/core/library/search'
import type { PaletteEntry } from './shell'

/** Lines shown at a time. */
const MOST = 9

/**
 * The first line found is the one that Enter takes. Spotlight marks it on the list as it stood when the key was
 * pressed, which is gone once what was found is drawn: then Enter took nothing, or somebody else.
 */
const CHOSEN: object = { 'data-selected': true }

/**
 * Finds a page, a person, a class, or anything of the practice, and forgives a wrong letter.
 * @param asked counts up each time it is opened
 */
export function Palette({
  entries,
  asked,
  onGo,
}: {
  entries: readonly PaletteEntry[]
  asked: number
  onGo: (href: string) => void
}) {
  const [query, setQuery] = useState('')
  useEffect(() => spotlight.open(), [asked])
  const byKey = useMemo(() => new Map(entries.map((entry) => [keyOf(entry), entry])), [entries])
  const index = useMemo(
    () =>
      indexOf(
        [...byKey].map(([id, { label, description, kind, also = '' }]): Searched => ({
          id,
          kind: kind ?? 'place',
          name: label,
          // A page is found by its question as well.
          also: kind ? also : description,
        })),
      ),
    [byKey],
  )
  const found =
    query.trim() === ''
      ? entries.slice(0, MOST)
      : search(index, query, MOST).flatMap((id) => byKey.get(id) ?? [])
  return (
    <Spotlight
      query={query}
      onQueryChange={setQuery}
      actions={found.map((entry, i) => ({
        ...(i === 0 ? CHOSEN : {}),
        id: keyOf(entry),
        label: entry.label,
        description: entry.description,
        onClick: () => onGo(entry.href),
      }))}
      filter={(_query, actions) => actions}
      nothingFound="Nothing like that."
      searchProps={{
        placeholder: 'A page, a person, a class, a step, a fault …',
        'aria-label': 'Find a page or a person',
        leftSection: <IconSearch size={20} aria-hidden />,
      }}
      limit={MOST}
      shortcut={null}
    />
  )
}

function keyOf({ href, label }: PaletteEntry): string {
  return `${href} ${label}`
}
