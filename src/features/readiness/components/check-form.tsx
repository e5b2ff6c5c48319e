'use client'

import { Checkbox, Chip, Group, Select, Text, TextInput } from '@mantine/core'
import type { ReadinessCheck } from '@/core/practice/schema'
import { isSpan, type Spans } from '@/core/body/spans'
import { REGIONS, type Region } from '@/core/screening/regions'
import { plain, type Wording } from '@/core/words/number'
import { unitOf } from '@/core/words/reason'
import { FormShell } from '@/ui/form-shell'
import { useWording } from '@/ui/wording'
import type { HistoryEntry } from '../person-queries'
import { ResultEnd } from './result-end'
import { useBound, type Bound } from '../../use-form'
import { useEntry } from './use-entry'

type Key = 'single' | 'left' | 'right'
type Props = {
  studentId: string
  check: ReadinessCheck
  spans: Spans
  exits: readonly { id: string; name: string }[]
  /** The way out that they have to show next; empty where no step asks for one. */
  wayOut: string
  /** The entry that this one stands in for; null for a new one. */
  corrects: HistoryEntry | null
  onSaved: () => void
}

const EMPTY = {
  ...{ single: '', left: '', right: '', aided: false, valid: true, watched: true, note: '' },
  region: null as Region | null,
  exitId: null as string | null,
  faults: [] as string[],
}

/** A form made from a check's data: one value or one a side, as number, level or yes/no. */
export function CheckForm({ studentId, check, spans, exits, wayOut, corrects, onSaved }: Props) {
  const empty = { ...EMPTY, exitId: check.names === 'exit' && wayOut !== '' ? wayOut : null }
  const first = corrects ? asItWas(corrects) : empty
  const { busy, problemOf, save, saved } = useEntry()
  const { values, change, field, tick } = useBound(first, problemOf)
  const wording = useWording()
  const keys: readonly Key[] = check.side === 'each' ? ['left', 'right'] : ['single']

  const submit = async (): Promise<void> => {
    const { single, left, right, ...seen } = values
    const replaces = corrects?.id ?? null
    const typed = check.side === 'each' ? { left, right } : { single }
    if (!(await save({ ...seen, typed, studentId, checkId: check.id, replaces }))) return
    change(empty)
    onSaved()
  }
  return (
    <FormShell maxWidth={560} problem={problemOf('')} onSubmit={submit}>
      <Group grow align="flex-start">
        {keys.map((key) => (
          <ValueField
            key={key}
            check={check}
            label={labelOf(check, key, wording)}
            bound={{ ...field(key), error: problemOf(`typed.${key}`) }}
          />
        ))}
      </Group>
      {check.names === 'region' ? (
        <Select
          label="Where it hurts"
          description="Only what loads it steps back; without a place everything does."
          data={[...REGIONS]}
          value={values.region}
          clearable
          onChange={(region) => change({ region: REGIONS.find((r) => r === region) ?? null })}
        />
      ) : null}
      {check.names === 'exit' ? (
        <Select
          label="Which way out"
          description="It speaks for the steps that are left that way; without a name for none with a high fall."
          data={exits.map((e) => ({ value: e.id, label: e.name }))}
          value={values.exitId}
          clearable
          onChange={(exitId) => change({ exitId })}
        />
      ) : null}
      {isSpan(check.unit) ? (
        <Text size="sm" c="dimmed">
          One of their own {check.unit} is about {plain(spans[check.unit])} cm; “18 cm” is turned into{' '}
          {check.unit}.
        </Text>
      ) : null}
      <Checkbox label="Shape kept to the end" description={check.valid} {...tick('valid')} />
      <ResultEnd
        {...{ field, tick, busy }}
        aidLabel="With an aid"
        corrects={corrects !== null}
        stored={saved > 0 && keys.every((key) => values[key] === '')}
      >
        {corrects && corrects.was.faults.length > 0 ? (
          <Chip.Group multiple value={values.faults} onChange={(faults) => change({ faults })}>
            <Group gap="xs" role="group" aria-label="Faults seen then">
              {corrects.was.faults.map((id, i) => (
                <Chip key={id} value={id} size="md">
                  {corrects.faults[i]}
                </Chip>
              ))}
            </Group>
          </Chip.Group>
        ) : null}
      </ResultEnd>
    </FormShell>
  )
}

/** A correction begins from what stood there. */
function asItWas({ was: { typed, ...was }, note }: HistoryEntry): typeof EMPTY {
  return { ...EMPTY, ...typed, ...was, note }
}

function labelOf(check: ReadinessCheck, key: Key, wording: Wording): string {
  const side = key === 'left' ? 'Left' : key === 'right' ? 'Right' : 'Result'
  return check.kind === 'yes-no' || check.kind === 'level' ? side : `${side}, ${unitOf(check, wording)}`
}

function ValueField({ check, label, bound }: { check: ReadinessCheck; label: string; bound: Bound }) {
  if (check.kind === 'yes-no' || check.levels) {
    const data = check.levels
      ? check.levels.map((text, i) => ({ value: String(i), label: `${i} · ${text}` }))
      : [
          { value: '1', label: 'Yes' },
          { value: '0', label: 'No' },
        ]
    return (
      <Select
        label={label}
        placeholder="Choose"
        data={data}
        {...bound}
        onChange={(picked) => bound.onChange(picked ?? '')}
      />
    )
  }
  return <TextInput label={label} inputMode="decimal" {...bound} />
}
