'use client'

import {
  closestCenter,
  DndContext,
  KeyboardSensor,
  PointerSensor,
  useDraggable,
  useDroppable,
  useSensor,
  useSensors,
  type Announcements,
  type DragEndEvent,
  type UniqueIdentifier,
} from '@dnd-kit/core'
import {
  verticalListSortingStrategy,
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
} from '@dnd-kit/sortable'
import { CSS } from '@dnd-kit/utilities'
import { Stack, Text, Title } from '@mantine/core'
import { useState } from 'react'
import { FormProblem } from '@/ui/form-problem'
import type { BlockView, PlanView } from '../plan-queries'
import classes from './arrange.module.css'
import { useEdit } from './use-edit'
import { useVersion } from './use-version'

/** Far enough that a tap is no drag, px. */
const DRAG_FROM = 6

/** The hour under the hand: blocks dragged along it, people dragged to another version; keys do the same. */
export function Arrange({ plan }: { plan: PlanView }) {
  const works = plan.blocks.filter((b) => b.doings.length > 0)
  return (
    <Stack>
      <Blocks classId={plan.id} works={works} />
      {works
        .filter((b) => b.kind === 'skill' || b.kind === 'peak' || b.kind === 'stay')
        .map((block) => (
          <People key={block.purpose} block={block} plan={plan} />
        ))}
    </Stack>
  )
}

function useTouchAndKeys() {
  return useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: DRAG_FROM } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  )
}

/** What is said aloud while something is carried, in names. */
function spoken(nameOf: (id: UniqueIdentifier) => string): Announcements {
  return {
    onDragStart: ({ active }) => `Picked up ${nameOf(active.id)}.`,
    onDragOver: ({ over }) => (over ? `Over ${nameOf(over.id)}.` : 'Over nothing.'),
    onDragEnd: ({ active, over }) => (over ? `${nameOf(active.id)} put at ${nameOf(over.id)}.` : 'Put back.'),
    onDragCancel: () => 'Put back.',
  }
}

function Blocks({ classId, works }: { classId: string; works: readonly BlockView[] }) {
  const { busy, problem, edit } = useEdit(classId)
  const sensors = useTouchAndKeys()
  const ids = works.map((b) => b.purpose)
  const dropped = ({ active, over }: DragEndEvent): void => {
    const to = ids.indexOf(String(over?.id))
    if (over && active.id !== over.id && to >= 0) edit({ kind: 'move', purpose: String(active.id), to })
  }
  return (
    <section className="card" aria-label="Order of the blocks">
      <Text>Drag a block up or down the hour; warm-up, counterposes and rest follow by themselves.</Text>
      <FormProblem message={problem} />
      <DndContext
        id="blocks"
        sensors={sensors}
        collisionDetection={closestCenter}
        accessibility={{
          announcements: spoken((id) => works.find((b) => b.purpose === id)?.title ?? 'nothing'),
        }}
        onDragEnd={dropped}
      >
        <SortableContext items={ids} strategy={verticalListSortingStrategy} disabled={busy}>
          <ol className={classes.blocks}>
            {works.map((b) => (
              <BlockChip key={b.purpose} block={b} />
            ))}
          </ol>
        </SortableContext>
      </DndContext>
    </section>
  )
}

function BlockChip({ block }: { block: BlockView }) {
  const { attributes, listeners, setNodeRef, transform, transition } = useSortable({ id: block.purpose })
  return (
    <li ref={setNodeRef} style={{ transform: CSS.Transform.toString(transform), transition }}>
      <button type="button" className={classes.chip} {...attributes} {...listeners}>
        <strong>{block.at}</strong> {block.title}, {block.minutes}
      </button>
    </li>
  )
}

function People({ block, plan }: { block: BlockView; plan: PlanView }) {
  const [said, setSaid] = useState('')
  const sensors = useTouchAndKeys()
  const part = block.kind === 'skill' ? 'skill' : 'waves'
  const version = useVersion(plan.id, part)
  const dropped = async ({ active, over }: DragEndEvent): Promise<void> => {
    const doing = block.doings.find((d) => d.studentId === active.id)
    const lane = block.lanes.find((l) => l.id === over?.id)
    if (!doing || !lane || lane.id === doing.variantId) return
    const choice = plan.choices
      .find((c) => c.studentId === doing.studentId)
      ?.[part].find((c) => c.id === lane.id)
    if (!choice?.allowed) {
      setSaid(
        choice
          ? `${lane.label} is above what is recorded for ${doing.name}: by version, under Change versions, with your reason.`
          : `${lane.label} cannot be given to ${doing.name} by hand: closed to them that day, or a drill that the planner deals.`,
      )
      return
    }
    setSaid('')
    await version.choose(doing.studentId, choice.id, 'other')
  }
  return (
    <section className="card" aria-label={`Versions of ${block.title}`}>
      <Title order={2}>{block.title}</Title>
      <FormProblem message={version.problem} />
      <Text role="status">{version.busy ? 'Planning round it …' : said}</Text>
      <DndContext
        id={block.purpose}
        sensors={sensors}
        accessibility={{
          announcements: spoken(
            (id) =>
              block.doings.find((d) => d.studentId === id)?.name ??
              block.lanes.find((l) => l.id === id)?.label ??
              'rest',
          ),
        }}
        onDragEnd={(event) => void dropped(event)}
      >
        <ul className={classes.lanes}>
          {block.lanes.map((lane) => (
            <LaneBox key={lane.id ?? 'rest'} id={lane.id ?? 'rest'} label={lane.label}>
              {lane.people.map((d) => (
                <Person key={d.studentId} id={d.studentId} name={d.name} />
              ))}
            </LaneBox>
          ))}
        </ul>
      </DndContext>
    </section>
  )
}

function LaneBox({ id, label, children }: { id: string; label: string; children: React.ReactNode }) {
  const { setNodeRef, isOver } = useDroppable({ id })
  return (
    <li ref={setNodeRef} className={classes.lane} data-over={isOver}>
      <h3>{label}</h3>
      {children}
    </li>
  )
}

function Person({ id, name }: { id: string; name: string }) {
  const { attributes, listeners, setNodeRef, transform } = useDraggable({ id })
  return (
    <button
      type="button"
      ref={setNodeRef}
      className={classes.chip}
      style={{ transform: CSS.Translate.toString(transform) }}
      {...attributes}
      {...listeners}
    >
      {name}
    </button>
  )
}
