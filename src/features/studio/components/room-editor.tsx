'use client'

import { Button, Grid, GridCol, Group, List, ListItem, Stack, Text } from '@mantine/core'
import { useRef, useState, type KeyboardEvent, type PointerEvent } from 'react'
import { addPart, moveBy, removePart } from '@/core/room/edit'
import { roomProblems, usableBays, type Room } from '@/core/room/room'
import { count } from '@/core/words/number'
import { describeRoom } from '@/core/words/room'
import { newId } from '@/device/facts'
import { FormProblem } from '@/ui/form-problem'
import { RoomDrawing, type Handle } from '@/ui/room/room-drawing'
import { useWording } from '@/ui/wording'
import { Section } from '@/ui/section'
import { useSubmit } from '../../use-submit'
import { saveRoom } from '../actions'
import { PartFields, RoomFields } from './part-fields'

/** A key press moves this far, cm; with shift, a tenth of it. */
const KEY_STEP_CM = 10
const KEYS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
}

/** Draw the room: drag what is in it, or pick it and type; undo takes steps back. */
export function RoomEditor({ initial }: { initial: Room }) {
  const wording = useWording()
  const [steps, setSteps] = useState<readonly Room[]>([initial])
  const [picked, setPicked] = useState<string | null>(null)
  const [live, setLive] = useState<Room | null>(null)
  const [saved, setSaved] = useState(true)
  const room = live ?? steps.at(-1) ?? initial
  const { busy, problemOf, send } = useSubmit(saveRoom)

  const change = (next: Room): void => {
    setSaved(false)
    setLive(null)
    setSteps((all) => [...all, next])
  }
  const add = (kind: Parameters<typeof addPart>[1]): void => {
    const id = newId()
    change(addPart(room, kind, id))
    setPicked(id)
  }
  const handle = useHandles(room, {
    pick: setPicked,
    preview: setLive,
    keep: change,
    remove: (id) => {
      change(removePart(room, id))
      setPicked(null)
    },
  })
  const care = roomProblems(room).map((p) => describeRoom(p, room, wording))
  return (
    <Grid gap="xl">
      <GridCol span={{ base: 12, lg: 8 }}>
        <RoomDrawing
          {...{ room, picked, handle }}
          label={`The room from above: ${count(usableBays(room).length, 'usable bay')}, ${count(room.mats.length, 'mat')}`}
        />
        <Group mt="sm" gap="xs">
          <Button onClick={() => add('bay')}>Add a bay</Button>
          <Button onClick={() => add('mat')}>Add a mat</Button>
          <Button onClick={() => add('door')}>Add a way out</Button>
          <Button onClick={() => add('thing')}>Add something in the way</Button>
          <Button
            disabled={steps.length < 2}
            onClick={() => {
              setSteps((all) => all.slice(0, -1))
              setLive(null)
              setSaved(false)
            }}
          >
            Undo
          </Button>
        </Group>
        <Text c="dimmed" size="sm" mt={6}>
          Drag, or pick with Tab and move with the arrow keys; Shift moves finely, Delete takes away.
        </Text>
      </GridCol>
      <GridCol span={{ base: 12, lg: 4 }}>
        <Stack>
          <RoomFields key={`${room.widthCm} ${room.depthCm}`} room={room} onChange={change} />
          {picked === null ? null : (
            <PartFields
              key={`${picked} ${steps.length}`}
              room={room}
              id={picked}
              onChange={change}
              onRemove={() => {
                change(removePart(room, picked))
                setPicked(null)
              }}
            />
          )}
          <FormProblem message={problemOf('')} />
          <Group>
            <Button
              variant="filled"
              loading={busy}
              onClick={() =>
                void send(toMutable(room)).then((ok) => {
                  setSaved(ok !== null)
                })
              }
            >
              Save the room
            </Button>
            <Text role="status">{saved && steps.length > 1 ? 'Saved.' : saved ? '' : 'Not saved yet.'}</Text>
          </Group>
          {care.length === 0 ? null : (
            <Section title="Wants care">
              <List>
                {care.map((line) => (
                  <ListItem key={line}>{line}</ListItem>
                ))}
              </List>
            </Section>
          )}
        </Stack>
      </GridCol>
    </Grid>
  )
}

function toMutable(room: Room): Parameters<typeof saveRoom>[0] {
  return {
    ...room,
    bays: [...room.bays],
    mats: [...room.mats],
    doors: [...room.doors],
    things: [...room.things],
  }
}

type Handlers = {
  pick: (id: string) => void
  preview: (room: Room) => void
  keep: (room: Room) => void
  remove: (id: string) => void
}

/** Drag and key handlers for one drawn part; a drag is one step of undo. */
function useHandles(room: Room, { pick, preview, keep, remove }: Handlers) {
  const drag = useRef<{ x: number; y: number; from: Room; id: string; last: Room } | null>(null)
  return (id: string, name: string): Handle & Record<string, unknown> => ({
    role: 'button',
    tabIndex: 0,
    'aria-label': name,
    onPointerDown: (event: PointerEvent<SVGGElement>) => {
      pick(id)
      const svg = event.currentTarget.ownerSVGElement
      const scale = svg?.getScreenCTM()?.a ?? 1
      event.currentTarget.setPointerCapture(event.pointerId)
      drag.current = { x: event.clientX, y: event.clientY, from: room, id, last: room }
      const move = (e: globalThis.PointerEvent): void => {
        const state = drag.current
        if (!state) return
        const next = moveBy(state.from, id, (e.clientX - state.x) / scale, (e.clientY - state.y) / scale)
        state.last = next
        preview(next)
      }
      const end = (): void => {
        window.removeEventListener('pointermove', move)
        window.removeEventListener('pointerup', end)
        window.removeEventListener('pointercancel', end)
        const state = drag.current
        drag.current = null
        if (state && state.last !== state.from) keep(state.last)
      }
      window.addEventListener('pointermove', move)
      window.addEventListener('pointerup', end)
      window.addEventListener('pointercancel', end)
    },
    onKeyDown: (event: KeyboardEvent<SVGGElement>) => {
      const step = KEYS[event.key]
      if (step) {
        event.preventDefault()
        const by = event.shiftKey ? KEY_STEP_CM / 10 : KEY_STEP_CM
        pick(id)
        keep(moveBy(room, id, step[0] * by, step[1] * by))
      } else if (event.key === 'Delete' || event.key === 'Backspace') {
        event.preventDefault()
        remove(id)
      } else if (event.key === 'Enter' || event.key === ' ') {
        event.preventDefault()
        pick(id)
      }
    },
  })
}
