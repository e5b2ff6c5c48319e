'use client'

import { Button, Group, Select, Stack, Text, Title } from '@mantine/core'
import { useState } from 'react'
import { newId } from '@/device/facts'
import { FormProblem } from '@/ui/form-problem'
import { useSubmit } from '../../use-submit'
import { forgetHealth, saveScreening } from '../actions'
import type { HealthView } from '../queries'
import { givenAnswers, IntakeQuestions, type Choice, type Filled } from './intake-questions'

type Given = 'by-student' | 'by-teacher' | 'asked-aloud' | 'from-card'

const GIVEN: readonly { value: Given; label: string }[] = [
  { value: 'asked-aloud', label: 'Asked aloud' },
  { value: 'by-student', label: 'Filled in by the student' },
  { value: 'from-card', label: 'From a printed card' },
  { value: 'by-teacher', label: 'Known to you' },
]

function filledFrom(questions: HealthView['questions']): Filled {
  return Object.fromEntries(
    questions.map((q) => [q.id, { choice: q.choice as Choice | '', options: q.ticked }]),
  )
}

/** The short intake: two ways through, or question by question; every answer is optional. */
export function HealthForm({
  id,
  questions,
  gentle,
}: Pick<HealthView, 'questions' | 'gentle'> & { id: string }) {
  const [filled, setFilled] = useState(() => filledFrom(questions))
  const [given, setGiven] = useState<Given>('asked-aloud')
  const [entryId, setEntryId] = useState(newId)
  const [said, setSaid] = useState('')
  const { busy, problemOf, send } = useSubmit(saveScreening)

  const save = async (way: 'answers' | 'nothing-applies' | 'gentle' | 'gentle-ends'): Promise<void> => {
    const stored = await send({ entryId, studentId: id, way, given, answers: givenAnswers(filled) })
    if (!stored) return
    setSaid('Stored. Limits are up to date.')
    setEntryId(newId())
  }

  return (
    <Stack>
      <FormProblem message={problemOf('')} />
      <Group>
        <Button disabled={busy} onClick={() => void save('nothing-applies')}>
          None of it applies
        </Button>
        <Button disabled={busy} onClick={() => void save(gentle ? 'gentle-ends' : 'gentle')}>
          {gentle ? 'End the gentle track' : 'Gentle track, no reason'}
        </Button>
        <Text c="dimmed" maw={420}>
          Read the list first. The statement lapses after six months; the gentle track asks nothing.
        </Text>
      </Group>
      <Select
        label="How it was answered"
        w={280}
        data={[...GIVEN]}
        value={given}
        allowDeselect={false}
        onChange={(value) => setGiven(value ?? given)}
      />
      <IntakeQuestions
        questions={questions}
        filled={filled}
        onChange={(next) => {
          setSaid('')
          setFilled(next)
        }}
      />
      <Group>
        <Button variant="filled" loading={busy} onClick={() => void save('answers')}>
          Save the answers
        </Button>
        <Text role="status">{said}</Text>
      </Group>
      <ForgetButton id={id} />
    </Stack>
  )
}

function ForgetButton({ id }: { id: string }) {
  const [asking, setAsking] = useState(false)
  const { busy, problemOf, send } = useSubmit(forgetHealth)
  const forget = async (): Promise<void> => {
    if (await send({ studentId: id })) {
      setAsking(false)
    }
  }
  return (
    <Stack gap={4}>
      <Title order={3}>Take it all away</Title>
      <FormProblem message={problemOf('')} />
      <Group>
        {asking ? (
          <>
            <Button variant="filled" color="clay" loading={busy} onClick={() => void forget()}>
              Yes, forget every answer
            </Button>
            <Button onClick={() => setAsking(false)}>Keep them</Button>
          </>
        ) : (
          <Button onClick={() => setAsking(true)}>Forget the health answers</Button>
        )}
        <Text c="dimmed">Answers and clearances become unknown. Attendance and results stay.</Text>
      </Group>
    </Stack>
  )
}
