'use client'

import { Button, Group, Select, Stack, Switch, TextInput, Title } from '@mantine/core'
import { useState } from 'react'
import { ROOM_RANGE, SIDES, type Room, type Side } from '@/core/room/room'
import { formatLength, parseLength } from '@/core/units'
import { describeLength } from '@/core/words/length'
import { useWording } from '@/ui/wording'

const SIDE_WORDS: Readonly<Record<Side, string>> = {
  north: 'Top wall',
  east: 'Right wall',
  south: 'Bottom wall',
  west: 'Left wall',
}

/** How wide and deep the room is. */
export function RoomFields({ room, onChange }: { room: Room; onChange: (room: Room) => void }) {
  return (
    <Group grow align="flex-start">
      <LengthField
        label="Room width"
        cm={room.widthCm}
        range={ROOM_RANGE}
        onChange={(widthCm) => onChange({ ...room, widthCm })}
      />
      <LengthField
        label="Room depth"
        cm={room.depthCm}
        range={ROOM_RANGE}
        onChange={(depthCm) => onChange({ ...room, depthCm })}
      />
    </Group>
  )
}

type Props = { room: Room; id: string; onChange: (room: Room) => void; onRemove: () => void }

/** The picked part in words and lengths. */
export function PartFields({ room, id, onChange, onRemove }: Props) {
  const bay = room.bays.find((b) => b.id === id)
  const door = room.doors.find((d) => d.id === id)
  const mat = room.mats.find((m) => m.id === id)
  const thing = room.things.find((t) => t.id === id)
  const put = (part: Partial<Room>): void => onChange({ ...room, ...part })
  const title = bay
    ? `Bay ${room.bays.indexOf(bay) + 1}`
    : door
      ? 'Way out'
      : mat
        ? `Mat ${room.mats.indexOf(mat) + 1}`
        : (thing?.name ?? '')
  if (title === '') return null
  return (
    <Stack className="card" gap="sm" role="group" aria-label={title}>
      <Title order={2}>{title}</Title>
      {bay ? (
        <>
          <OnWall part={bay} onChange={(next) => put({ bays: swap(room.bays, next) })} least={30} />
          <TextInput
            label="What stands or hangs there"
            placeholder="beside the stove"
            defaultValue={bay.obstacle}
            onBlur={(e) => put({ bays: swap(room.bays, { ...bay, obstacle: e.currentTarget.value }) })}
          />
          <Switch
            label="Used for going up"
            checked={bay.usable}
            onChange={(e) => put({ bays: swap(room.bays, { ...bay, usable: e.currentTarget.checked }) })}
          />
        </>
      ) : null}
      {door ? (
        <OnWall part={door} onChange={(next) => put({ doors: swap(room.doors, next) })} least={50} />
      ) : null}
      {mat ? (
        <Switch
          label="Lies across the room"
          checked={mat.turned}
          onChange={(e) => put({ mats: swap(room.mats, { ...mat, turned: e.currentTarget.checked }) })}
        />
      ) : null}
      {thing ? (
        <>
          <TextInput
            label="What it is"
            defaultValue={thing.name}
            onBlur={(e) => put({ things: swap(room.things, { ...thing, name: e.currentTarget.value }) })}
          />
          <Group grow align="flex-start">
            <LengthField
              label="Width"
              cm={thing.widthCm}
              range={{ minCm: 5, maxCm: room.widthCm }}
              onChange={(widthCm) => put({ things: swap(room.things, { ...thing, widthCm }) })}
            />
            <LengthField
              label="Depth"
              cm={thing.depthCm}
              range={{ minCm: 5, maxCm: room.depthCm }}
              onChange={(depthCm) => put({ things: swap(room.things, { ...thing, depthCm }) })}
            />
          </Group>
        </>
      ) : null}
      <Button onClick={onRemove}>Take {title.toLowerCase()} away</Button>
    </Stack>
  )
}

function OnWall<T extends { side: Side; fromCm: number; widthCm: number }>({
  part,
  onChange,
  least,
}: {
  part: T
  onChange: (part: T) => void
  least: number
}) {
  return (
    <>
      <Select
        label="On"
        data={SIDES.map((side) => ({ value: side, label: SIDE_WORDS[side] }))}
        value={part.side}
        onChange={(side) => onChange({ ...part, side: SIDES.find((s) => s === side) ?? part.side })}
      />
      <Group grow align="flex-start">
        <LengthField
          label="From the corner"
          cm={part.fromCm}
          range={{ minCm: 0, maxCm: ROOM_RANGE.maxCm }}
          onChange={(fromCm) => onChange({ ...part, fromCm })}
        />
        <LengthField
          label="Width"
          cm={part.widthCm}
          range={{ minCm: least, maxCm: 1000 }}
          onChange={(widthCm) => onChange({ ...part, widthCm })}
        />
      </Group>
    </>
  )
}

/** A length that is taken over when the field is left or Enter is pressed; a bad one says why and keeps the old. */
function LengthField({
  label,
  cm,
  range,
  onChange,
}: {
  label: string
  cm: number
  range: { minCm: number; maxCm: number }
  onChange: (cm: number) => void
}) {
  const wording = useWording()
  const [typed, setTyped] = useState(() => formatLength(cm, wording.units))
  const parsed = parseLength(typed, range, wording.units)
  const keep = (): void => {
    if (parsed.ok && typed !== formatLength(cm, wording.units)) onChange(parsed.value)
  }
  return (
    <TextInput
      label={label}
      value={typed}
      error={parsed.ok ? undefined : describeLength(parsed.refusal, wording)}
      onChange={(e) => setTyped(e.currentTarget.value)}
      onBlur={keep}
      onKeyDown={(e) => {
        if (e.key === 'Enter') keep()
      }}
    />
  )
}

function swap<T extends { id: string }>(parts: readonly T[], next: T): T[] {
  return parts.map((p) => (p.id === next.id ? next : p))
}
