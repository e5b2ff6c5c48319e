'use client'

import { Button, Group, Stack, Text } from '@mantine/core'
import type { OverrideReason } from '@/core/classes/override'
import { OVERRIDE_WORD } from '@/core/words/override'
import { FormProblem } from '@/ui/form-problem'
import { useFact } from '../../use-fact'
import type { AnswerView } from '../person-queries'

/** The teacher’s word on the next step: go ahead, hold back, or above what is recorded for a reason. */
export function AnswerPanel({ studentId, answer }: { studentId: string; answer: AnswerView }) {
  const { busy, problemOf, save } = useFact()
  const say = (said: 'accept' | 'hold-back' | 'override', reason: OverrideReason | null = null): void => {
    void save({ kind: 'offer', studentId, stageId: answer.stageId, answer: said, reason })
  }
  return (
    <Stack className="card" gap="xs" role="group" aria-label="Your word on it">
      <Text fw={600}>Your word on it</Text>
      <Text role="status">{answer.said === '' ? WAITING[answer.may](answer) : `${answer.said}.`}</Text>
      <FormProblem message={problemOf('') ?? problemOf('reason')} />
      <Group gap="xs">
        {answer.may === 'answer' ? (
          <Button variant="filled" disabled={busy} onClick={() => say('accept')}>
            Looked: go ahead
          </Button>
        ) : null}
        {answer.may === 'nothing' ? null : (
          <Button disabled={busy} onClick={() => say('hold-back')}>
            Hold back
          </Button>
        )}
      </Group>
      {answer.may === 'override' ? (
        <Group gap="xs" role="group" aria-label="Go above what is recorded, because">
          <Text size="sm">Go above what is recorded, because:</Text>
          {(Object.keys(OVERRIDE_WORD) as OverrideReason[]).map((reason) => (
            <Button
              key={reason}
              size="compact-md"
              mih={44}
              disabled={busy}
              onClick={() => say('override', reason)}
            >
              {OVERRIDE_WORD[reason]}
            </Button>
          ))}
        </Group>
      ) : null}
    </Stack>
  )
}

const WAITING: Readonly<Record<AnswerView['may'], (answer: AnswerView) => string>> = {
  answer: ({ needsLook }) =>
    needsLook
      ? 'A first solo try: no plan has it before you have looked.'
      : 'Plans may have it. Hold it back if you see a reason.',
  override: () => 'Not offered yet. Hold it back for now, or let it be planned for four weeks on your word.',
  nothing: () => 'Something stands in the way, as told above; only what is named there lifts it.',
}
