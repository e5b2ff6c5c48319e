'use client'

import { Button, Checkbox, Group, SegmentedControl, Stack, Text } from '@mantine/core'
import { useState } from 'react'
import { AT_HOME, type AtHome } from '@/core/home/home'
import { AT_HOME_WORD } from '@/core/words/home'
import { newId } from '@/device/facts'
import { FormProblem } from '@/ui/form-problem'
import { useSubmit } from '../../use-submit'
import { makeHome } from '../actions'
import type { HomeView } from '../queries'

const MINUTES = ['10', '15', '20', '25']
const TIMES = ['1', '2', '3']

/** What a week at home is made from: how long, how often, with what. */
export function HomeForm({
  studentId,
  form,
  hasSheet,
}: {
  studentId: string
  form: HomeView['form']
  hasSheet: boolean
}) {
  const { busy, problemOf, send } = useSubmit(makeHome)
  const [minutes, setMinutes] = useState(String(form.minutes))
  const [times, setTimes] = useState(String(form.times))
  const [has, setHas] = useState<AtHome[]>(form.has)
  const make = (how: 'fresh' | 'next'): void =>
    void send({ id: newId(), studentId, how, minutes: Number(minutes), times: Number(times), has })
  return (
    <section className="card no-print" aria-label="What the week is made from">
      <Stack gap="sm">
        <Group gap="lg" align="flex-end">
          <div>
            <Text size="sm" fw={600}>
              Minutes
            </Text>
            <SegmentedControl aria-label="Minutes" data={MINUTES} value={minutes} onChange={setMinutes} />
          </div>
          <div>
            <Text size="sm" fw={600}>
              Times a week
            </Text>
            <SegmentedControl aria-label="Times a week" data={TIMES} value={times} onChange={setTimes} />
          </div>
        </Group>
        <Checkbox.Group
          label="At home there is"
          value={has}
          onChange={(value) => setHas(AT_HOME.filter((thing) => value.includes(thing)))}
        >
          <Group gap="md" mt={6}>
            {AT_HOME.map((thing) => (
              <Checkbox key={thing} value={thing} label={AT_HOME_WORD[thing]} />
            ))}
          </Group>
        </Checkbox.Group>
        <FormProblem message={problemOf('') ?? problemOf('minutes') ?? problemOf('times')} />
        <Group>
          {hasSheet ? (
            <Button variant="filled" loading={busy} onClick={() => make('next')}>
              Make the next week
            </Button>
          ) : null}
          <Button loading={busy} variant={hasSheet ? 'default' : 'filled'} onClick={() => make('fresh')}>
            {hasSheet ? 'Make it anew' : 'Make the sheet'}
          </Button>
        </Group>
      </Stack>
    </section>
  )
}
