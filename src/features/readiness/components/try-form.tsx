'use client'

import { Checkbox, Chip, Group, MultiSelect, SegmentedControl, Select, Text, TextInput } from '@mantine/core'
import { useRef, useState } from 'react'
import { ENDED_WORD, HELP_WORD, LEVEL_WORD, OUTCOME_OF_TRY } from '@/core/words/attempt'
import { newAttempt } from '@/core/facts/attempt'
import type { Stamp } from '@/core/facts/stamp'
import { newStamp } from '@/device/facts'
import { FormEnd, FormShell } from '@/ui/form-shell'
import { useForm } from '../../use-form'
import { logTry } from '../actions'
import type { PersonReadiness, TryStage } from '../person-queries'

type Sent = Parameters<typeof logTry>[0]
type Typed = Pick<Sent, 'seconds' | 'lead' | 'exitControlled' | 'help' | 'endedBy' | 'faults'> & {
  /** Empty until somebody says what they saw. */
  outcome: Sent['outcome'] | ''
  level: Exclude<Sent['level'], 'practised'>
}

const EMPTY: Typed = {
  outcome: '',
  level: 'not-said',
  seconds: '',
  lead: null,
  exitControlled: true,
  help: 'not-said',
  endedBy: 'self',
  faults: [],
}

/** Choices of a segmented control or a select from a table of words. */
function choices<K extends string>(words: Readonly<Record<K, string>>): { value: K; label: string }[] {
  return (Object.keys(words) as K[]).map((value) => ({ value, label: words[value] }))
}

/** A try logged by hand: which stage and setup, how far, what was seen. */
export function TryForm({
  studentId,
  stages,
  startAt,
  allFaults,
}: {
  studentId: string
  stages: readonly TryStage[]
  startAt: string
  allFaults: PersonReadiness['allFaults']
}) {
  const stamp = useRef<Stamp | null>(null)
  const [stageId, setStageId] = useState(startAt)
  const [setupId, setSetupId] = useState<string | null>(null)
  const [inTurns, setInTurns] = useState(false)
  const [saved, setSaved] = useState(0)
  const [unsaid, setUnsaid] = useState(false)
  const { values: typed, change, renew, field, tick, busy, problemOf, send } = useForm(EMPTY, logTry)
  // These show no sentence of their own.
  const control = (name: 'outcome' | 'level') => ({ ...field(name), error: undefined })
  const stage = stages.find((s) => s.id === stageId)
  if (!stage) return null
  const setup = stage.setups.find((s) => s.id === setupId) ?? stage.setups[0]
  const barer = stage.setups.find((s) => setup?.less.includes(s.id))
  const fuller = stage.setups.find((s) => setup !== undefined && s.less.includes(setup.id))

  const submit = async (): Promise<void> => {
    const { outcome, level, help, lead, seconds, faults, exitControlled, endedBy } = typed
    setUnsaid(outcome === '')
    if (outcome === '') return
    stamp.current ??= await newStamp()
    const stored = await send({
      ...stamp.current,
      ...newAttempt(
        studentId,
        stage,
        { outcome, exitControlled, endedBy, faults },
        { level, help, lead, setupId: setup?.id ?? null },
        null,
      ),
      seconds,
    })
    if (!stored) return
    stamp.current = null
    setSaved((n) => n + 1)
    // The next one is another try: nothing of this one is taken over.
    renew(typed, EMPTY)
    const other = fuller ?? barer
    if (inTurns && other) setSetupId(other.id)
  }
  return (
    <FormShell maxWidth={560} problem={problemOf('')} onSubmit={submit}>
      <Select
        label="Stage tried"
        searchable
        allowDeselect={false}
        data={stages.map((s) => ({ value: s.id, label: s.label }))}
        value={stageId}
        onChange={(id) => {
          if (id === null) return
          setStageId(id)
          setSetupId(null)
          change({ faults: [] })
        }}
      />
      <Select
        label="Setup used"
        allowDeselect={false}
        data={stage.setups.map((s) => ({ value: s.id, label: s.name }))}
        value={setup?.id ?? null}
        onChange={setSetupId}
      />
      {barer || fuller ? (
        <Checkbox
          label={`Side by side: in turns with ${(barer ?? fuller)?.name ?? ''}`}
          description="Time at least three of each; the difference is worked out under Props."
          checked={inTurns}
          onChange={(e) => setInTurns(e.currentTarget.checked)}
        />
      ) : null}
      <SegmentedControl aria-label="What came of it" data={choices(OUTCOME_OF_TRY)} {...control('outcome')} />
      {unsaid || problemOf('outcome') ? (
        <Text role="alert">{problemOf('outcome') ?? 'Say what came of it.'}</Text>
      ) : null}
      {stage.leavesFloor ? (
        <SegmentedControl aria-label="How far it got" data={choices(LEVEL_WORD)} {...control('level')} />
      ) : null}
      <Group grow align="flex-start">
        <TextInput label="Held, seconds" inputMode="decimal" {...field('seconds')} />
        {stage.sided ? (
          <Select
            label="Leg leading"
            placeholder="Not said"
            clearable
            data={[
              { value: 'left', label: 'Left' },
              { value: 'right', label: 'Right' },
            ]}
            {...field('lead')}
          />
        ) : null}
        <Select label="Help" allowDeselect={false} data={choices(HELP_WORD)} {...field('help')} />
      </Group>
      <Checkbox label="Came out of it under control" {...tick('exitControlled')} />
      {typed.outcome === 'clean' || typed.outcome === '' ? null : (
        <Select
          label="What ended it"
          allowDeselect={false}
          description="Only the student’s own faults ever step anybody back."
          data={choices(ENDED_WORD)}
          {...field('endedBy')}
        />
      )}
      <Chip.Group multiple value={[...typed.faults]} onChange={(faults) => change({ faults })}>
        <Group gap="xs" role="group" aria-label="Faults seen in the try">
          {stage.faults.map((fault) => (
            <Chip key={fault.id} value={fault.id} size="md">
              {fault.name}
            </Chip>
          ))}
        </Group>
      </Chip.Group>
      <MultiSelect
        label="Something else seen"
        placeholder="Type what it looked like"
        searchable
        maxValues={12}
        data={allFaults}
        {...field('faults')}
      />
      <FormEnd label="Save the try" busy={busy} said={saved > 0 ? `${saved} saved here.` : ''} />
    </FormShell>
  )
}
