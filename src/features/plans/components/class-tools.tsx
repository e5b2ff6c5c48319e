'use client'

import { Button, Checkbox, Group, MultiSelect, Select, Stack } from '@mantine/core'
import { useState } from 'react'
import { newStamp } from '@/device/facts'
import { FormProblem } from '@/ui/form-problem'
import { useSubmit } from '../../use-submit'
import { stepPlan } from '../actions'
import type { PlanView } from '../plan-queries'
import { useEdit } from './use-edit'

/** Who is coming, what strength is for, and giving it all back. */
export function ClassTools({ plan }: { plan: PlanView }) {
  const { busy, problem, edit } = useEdit(plan.id)
  const on = plan.trains.filter((t) => t.on).map((t) => t.id)
  const [trains, setTrains] = useState<string[] | null>(null)
  const [walkIn, setWalkIn] = useState<string | null>(null)
  return (
    <section className="card no-print" aria-label="Who and what">
      <Stack gap="sm">
        <FormProblem message={problem} />
        <Checkbox.Group
          label="Who is coming"
          value={plan.choices.filter((c) => !c.out).map((c) => c.studentId)}
        >
          <Group gap="md" mt={6}>
            {plan.choices.map((c) => (
              <Checkbox
                key={c.studentId}
                value={c.studentId}
                label={c.name}
                disabled={busy}
                onChange={() => edit({ kind: 'out', studentId: c.studentId, out: !c.out })}
              />
            ))}
          </Group>
        </Checkbox.Group>
        <Group align="flex-end">
          <Select
            label="One more comes"
            placeholder="Name"
            searchable
            w={240}
            data={plan.others.map((o) => ({ value: o.id, label: o.name }))}
            value={walkIn}
            onChange={setWalkIn}
          />
          <Button
            disabled={busy || walkIn === null}
            onClick={() => {
              if (walkIn !== null) edit({ kind: 'add', studentId: walkIn })
              setWalkIn(null)
            }}
          >
            Plan them in
          </Button>
          <MultiSelect
            label="Strength is for"
            w={320}
            maxValues={2}
            data={plan.trains.map((t) => ({ value: t.id, label: t.label }))}
            value={trains ?? on}
            onChange={setTrains}
          />
          <Button
            disabled={busy || trains === null}
            onClick={() => {
              edit({ kind: 'train', purposes: trains ?? on })
              setTrains(null)
            }}
          >
            Plan for that
          </Button>
          <Button variant="subtle" c="var(--ink)" disabled={busy} onClick={() => edit({ kind: 'free' })}>
            Give everything back to the planner
          </Button>
        </Group>
      </Stack>
    </section>
  )
}

/** Takes the last change back, or puts it in again. */
export function StepBack({ classId, back, on }: { classId: string; back: boolean; on: boolean }) {
  const { busy, problemOf, send } = useSubmit(stepPlan)
  const take = (step: 'back' | 'on'): void =>
    void newStamp().then((stamp) => send({ ...stamp, classId, step }))
  return (
    <>
      <FormProblem message={problemOf('')} />
      {back ? (
        <Button loading={busy} onClick={() => take('back')}>
          Take the last change back
        </Button>
      ) : null}
      {on ? (
        <Button loading={busy} onClick={() => take('on')}>
          Put it in again
        </Button>
      ) : null}
    </>
  )
}
