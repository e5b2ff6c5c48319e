'use client'

import { Button, Group, Slider, Text } from '@mantine/core'
import { useState } from 'react'
import { RoomDrawing } from '@/ui/room/room-drawing'
import type { RoomThrough as Through } from '../room-queries'

/** The room from above at any minute of the class. */
export function RoomThrough({ through: { room, moments } }: { through: Through }) {
  const first = moments.findIndex((m) => m.occupants.length > 0)
  const [i, setI] = useState(Math.max(0, first))
  const now = moments[i]
  if (!now) return null
  return (
    <section className="card" aria-label="The room from above">
      <Group align="center" wrap="nowrap">
        <Button disabled={i === 0} onClick={() => setI(i - 1)}>
          Before
        </Button>
        <Slider
          style={{ flex: 1 }}
          min={0}
          max={moments.length - 1}
          value={i}
          onChange={setI}
          label={(n) => moments[n]?.at ?? ''}
          thumbLabel="Minute of the class"
        />
        <Button disabled={i === moments.length - 1} onClick={() => setI(i + 1)}>
          After
        </Button>
      </Group>
      <Text mt="sm" fw={600} role="status">
        {now.at} · {now.title}
      </Text>
      <RoomDrawing
        room={room}
        occupants={now.occupants}
        label={`The room from above at ${now.at}`}
        height="52vh"
      />
      {now.also.length > 0 ? (
        <Text>Also up, without a place as the room is drawn: {now.also.join(', ')}</Text>
      ) : null}
      {now.waiting.length > 0 ? <Text>Waiting: {now.waiting.join(', ')}</Text> : null}
      {now.occupants.length + now.also.length + now.waiting.length === 0 ? (
        <Text>All together, each on their mat.</Text>
      ) : null}
    </section>
  )
}
