'use client'

import { Button, Checkbox, Chip, Group, Text, TextInput } from '@mantine/core'
import { useHotkeys } from '@mantine/hooks'
import { formatClock } from '@/core/units'
import { FormShell } from '@/ui/form-shell'
import { useStopwatch } from '@/device/use-stopwatch'
import type { HistoryEntry } from '../person-queries'
import { ResultEnd } from './result-end'
import { useBound } from '../../use-form'
import { useEntry } from './use-entry'

type Props = {
  studentId: string
  breathS: number
  faults: readonly { id: string; name: string }[]
  /** The entry that this one stands in for; null for a new one. */
  corrects: HistoryEntry | null
  onSaved: () => void
}

const EMPTY = {
  seconds: '',
  breaths: '',
  headClear: true,
  elbowsIn: true,
  aided: false,
  watched: true,
  note: '',
  faults: [] as string[],
}

/** The dolphin hold: stopwatch or typed, then what was seen. */
export function DolphinHoldForm({ studentId, breathS, faults, corrects, onSaved }: Props) {
  const replaces = corrects?.id ?? null
  const watch = useStopwatch()
  const { busy, problemOf, save, saved } = useEntry()
  const first = corrects ? asItWas(corrects) : EMPTY
  const { values, change, renew, field, tick } = useBound(first, problemOf)

  const toggle = (): void => {
    if (!watch.running) {
      watch.start()
      return
    }
    const seconds = Math.round(watch.stop() * 10) / 10
    change({ seconds: String(seconds), breaths: String(Math.round(seconds / breathS)) })
  }
  useHotkeys([['space', toggle]])

  const submit = async (): Promise<void> => {
    const typed =
      values.seconds.trim() === '' && values.breaths.trim() !== ''
        ? fromBreaths(values.breaths, breathS)
        : values.seconds
    const { headClear, elbowsIn, aided, watched, note } = values
    const stored = await save({
      studentId,
      checkId: 'CK-dolphin-hold',
      typed: { single: typed },
      aided,
      watched,
      note,
      replaces,
      valid: headClear && elbowsIn,
      faults: [
        ...new Set([
          ...values.faults.filter((f) => f !== 'FT-head-drop' && f !== 'FT-elbow-splay'),
          ...(headClear ? [] : ['FT-head-drop']),
          ...(elbowsIn ? [] : ['FT-elbow-splay']),
        ]),
      ],
    })
    if (!stored) return
    renew(values, EMPTY)
    watch.reset()
    onSaved()
  }
  return (
    <FormShell maxWidth={560} problem={problemOf('')} onSubmit={submit}>
      <Button
        variant="filled"
        size="xl"
        h={96}
        fz={34}
        onClick={toggle}
        aria-label={watch.running ? 'Stop the stopwatch' : 'Start the stopwatch'}
        color={watch.running ? 'clay' : undefined}
      >
        {watch.running || watch.seconds > 0 ? formatClock(watch.seconds) : 'Start'}
      </Button>
      <Text size="sm" c="dimmed">
        Space starts and stops. Stop at the first breach, not at collapse.
      </Text>
      <Group grow>
        <TextInput
          label="Seconds"
          inputMode="decimal"
          {...field('seconds')}
          error={problemOf('typed.single')}
        />
        <TextInput
          label="or breaths"
          description={`one is ${breathS} s`}
          inputWrapperOrder={['label', 'input', 'description', 'error']}
          inputMode="decimal"
          value={values.breaths}
          onChange={(e) => change({ breaths: e.currentTarget.value, seconds: '' })}
        />
      </Group>
      <Checkbox label="Head stayed clear" {...tick('headClear')} />
      <Checkbox label="Elbows stayed in" {...tick('elbowsIn')} />
      <ResultEnd
        {...{ field, tick, busy }}
        aidLabel="With a strap or block"
        corrects={replaces !== null}
        stored={saved > 0 && values.seconds === ''}
      >
        <Chip.Group multiple value={values.faults} onChange={(ids) => change({ faults: ids })}>
          <Group gap="xs" role="group" aria-label="Faults seen">
            {faults.map((fault) => (
              <Chip key={fault.id} value={fault.id} size="md">
                {fault.name}
              </Chip>
            ))}
          </Group>
        </Chip.Group>
      </ResultEnd>
    </FormShell>
  )
}

/** A correction begins from what stood there, faults and all: a typing slip must not lose what was seen. */
function asItWas({ was, note }: HistoryEntry): typeof EMPTY {
  const { faults, aided, watched, typed } = was
  return {
    ...EMPTY,
    ...{ seconds: typed.single, faults, aided, watched, note },
    headClear: !faults.includes('FT-head-drop'),
    elbowsIn: !faults.includes('FT-elbow-splay'),
  }
}

/** Breaths to seconds by the student's own breath; what is not a number goes on as typed, for the server to refuse. */
function fromBreaths(typed: string, breathS: number): string {
  const breaths = Number(typed.trim().replace(',', '.'))
  return Number.isFinite(breaths) ? String(Math.round(breaths * breathS * 10) / 10) : typed
}
