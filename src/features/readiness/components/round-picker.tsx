'use client'

import { Autocomplete, Button, Group, Stack, Text } from '@mantine/core'
import { useState } from 'react'
import type { RoundCheck, RoundData } from '../round-queries'

type Props = {
  data: RoundData
  current: string
  counts: Readonly<Record<string, number>>
  onPick: (id: string) => void
}

/** Which check to run: what would settle most, or a ready round. */
export function RoundPicker({ data, current, counts, onPick }: Props) {
  const suggested = data.suggested.flatMap((id) => data.checks.find((c) => c.id === id) ?? [])
  const minutes = suggested.reduce((sum, c) => sum + c.minutes, 0)
  const settles = suggested.find((c) => c.id === current)?.settles
  return (
    <Stack gap={6} flex="1 1 420px">
      <Text>
        {suggested.length === 0
          ? 'No check would change an answer today. Pick a ready round if you like.'
          : `These would settle most, in about ${minutes} minutes:`}{' '}
        {settles ? `this one ${settles}.` : ''}
      </Text>
      <Group gap="xs" role="group" aria-label="Suggested checks">
        {suggested.map((c) => (
          <PickButton key={c.id} check={c} current={current} count={counts[c.id]} onPick={onPick} />
        ))}
      </Group>
      <details>
        <summary>Ready rounds</summary>
        {data.bundles.map((b) => (
          <Group key={b.id} gap="xs" mt={6} role="group" aria-label={b.name}>
            <Text w={150}>{b.name}</Text>
            {b.checks
              .flatMap((id) => data.checks.find((c) => c.id === id) ?? [])
              .map((c) => (
                <PickButton key={c.id} check={c} current={current} count={counts[c.id]} onPick={onPick} />
              ))}
          </Group>
        ))}
      </details>
    </Stack>
  )
}

function PickButton({
  check,
  current,
  count,
  onPick,
}: {
  check: RoundCheck
  current: string
  count: number | undefined
  onPick: (id: string) => void
}) {
  return (
    <Button
      mih={44}
      variant={check.id === current ? 'filled' : 'default'}
      aria-pressed={check.id === current}
      title={check.settles}
      onClick={() => onPick(check.id)}
    >
      {check.name}
      {count ? ` (${count})` : ''}
    </Button>
  )
}

/** Asked once a device: who records, so that every result says who saw it put down. */
export function Recorder({
  names,
  observer,
  onChange,
}: {
  names: readonly string[]
  observer: string
  onChange: (name: string) => void
}) {
  const [asking, setAsking] = useState(false)
  if (observer !== '' && !asking)
    return (
      <Group gap="xs">
        <Text>{observer} records on this device.</Text>
        <Button variant="subtle" c="var(--ink)" mih={44} onClick={() => setAsking(true)}>
          Somebody else
        </Button>
      </Group>
    )
  return (
    <Autocomplete
      aria-label="Who records on this device?"
      placeholder="Who records on this device?"
      w={250}
      maxLength={80}
      data={[...names]}
      defaultValue={observer}
      onOptionSubmit={(name) => {
        onChange(name)
        setAsking(false)
      }}
      onBlur={(e) => {
        onChange(e.currentTarget.value.trim())
        setAsking(false)
      }}
    />
  )
}
