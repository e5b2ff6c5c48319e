'use client'

import { Button, Group, Stack, Text, TextInput } from '@mantine/core'
import { useState } from 'react'
import { isSpan } from '@/core/body/spans'
import { plain, type Wording } from '@/core/words/number'
import { unitOf } from '@/core/words/reason'
import { useWording } from '@/ui/wording'
import type { RoundCheck, RoundPerson } from '../round-queries'
import type { Typed } from './use-round'

type Props = { check: RoundCheck; person: RoundPerson; onRecord: (values: Typed) => void }

/** How a result that is not a single hold is put in: yes or no, a level, a count, or a value a side. */
export function RoundValues(props: Props) {
  const { check } = props
  if (check.kind === 'yes-no' && check.side === 'single') return <YesNo {...props} />
  if (check.kind === 'yes-no' || check.kind === 'level') return <Levels {...props} />
  if (check.kind === 'count' && check.side === 'single') return <Reps {...props} />
  return <Values {...props} />
}

function YesNo({ onRecord }: Props) {
  return (
    <Group grow>
      <Button mih={64} onClick={() => onRecord({ single: '1' })}>
        Yes
      </Button>
      <Button mih={64} onClick={() => onRecord({ single: '0' })}>
        Not yet
      </Button>
    </Group>
  )
}

const SIDES = ['left', 'right'] as const

/** One tap a side; the last tap stores both. */
function Levels({ check, onRecord }: Props) {
  const [picked, setPicked] = useState<Typed>({})
  const options = check.kind === 'yes-no' ? ['Not yet', 'Yes'] : check.levels
  const keys: readonly (keyof Typed)[] = check.side === 'each' ? SIDES : ['single']
  const pick = (side: keyof Typed, value: string): void => {
    const all = { ...picked, [side]: value }
    if (keys.every((k) => all[k] !== undefined)) onRecord(all)
    else setPicked(all)
  }
  return (
    <Stack gap={6}>
      {keys.map((side) => (
        <Group key={side} gap={4} role="group" aria-label={side === 'single' ? 'Level' : `${side} side`}>
          {side === 'single' ? null : (
            <Text size="sm" w={40}>
              {side}
            </Text>
          )}
          {options.map((text, i) => (
            <Button
              key={text}
              size="compact-md"
              mih={44}
              miw={44}
              variant={picked[side] === String(i) ? 'filled' : 'default'}
              title={text}
              aria-label={`${side === 'single' ? '' : `${side} `}${i}, ${text}`}
              onClick={() => pick(side, String(i))}
            >
              {check.kind === 'yes-no' ? text : i}
            </Button>
          ))}
        </Group>
      ))}
    </Stack>
  )
}

function Reps({ onRecord }: Props) {
  const [reps, setReps] = useState(0)
  return (
    <Group gap={6} wrap="nowrap">
      <Button mih={64} px="sm" aria-label="One less" disabled={reps === 0} onClick={() => setReps(reps - 1)}>
        −
      </Button>
      <Button mih={64} flex={1} onClick={() => setReps(reps + 1)}>
        {reps} · one more
      </Button>
      <Button
        variant="filled"
        mih={64}
        disabled={reps === 0}
        onClick={() => onRecord({ single: String(reps) })}
      >
        Keep
      </Button>
    </Group>
  )
}

/** A length says its unit, so that it means the same whenever the server gets it. */
function withUnit({ unit }: RoundCheck, typed: Typed, { units }: Wording): Typed {
  if (unit !== 'cm') return typed
  return Object.fromEntries(
    Object.entries(typed).map(([side, text]) => [side, /[a-z"”″]/i.test(text) ? text : `${text} ${units}`]),
  )
}

function Values({ check, person, onRecord }: Props) {
  const [typed, setTyped] = useState<Typed>({})
  const keys: readonly (keyof Typed)[] = check.side === 'each' ? SIDES : ['single']
  const wording = useWording()
  const spanCm = isSpan(check.unit) ? person.spans[check.unit] : null
  return (
    <Stack gap={4}>
      <Group align="flex-end" gap="xs" wrap="nowrap">
        {keys.map((k) => (
          <TextInput
            key={k}
            flex={1}
            label={k === 'single' ? unitOf(check, wording) : `${k}, ${unitOf(check, wording)}`}
            inputMode={spanCm === null ? 'decimal' : 'text'}
            value={typed[k] ?? ''}
            onChange={(e) => setTyped({ ...typed, [k]: e.currentTarget.value })}
          />
        ))}
        <Button
          variant="filled"
          mih={44}
          disabled={keys.some((k) => (typed[k] ?? '') === '')}
          onClick={() => onRecord(withUnit(check, typed, wording))}
        >
          Keep
        </Button>
      </Group>
      {spanCm === null ? null : (
        <Text size="sm" c="dimmed">
          One of {person.first}’s {check.unit} is about {plain(spanCm)} cm; a tape’s “18 cm” is turned into{' '}
          {check.unit}.
        </Text>
      )}
    </Stack>
  )
}
