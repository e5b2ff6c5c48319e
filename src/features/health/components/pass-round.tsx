'use client'

import { Button, Group, SimpleGrid, Stack, Text, Title } from '@mantine/core'
import { useEffect, useState } from 'react'
import { newId } from '@/device/facts'
import { FormProblem } from '@/ui/form-problem'
import { useSubmit } from '../../use-submit'
import { savePassedScreening } from '../actions'
import type { PassData, QuestionView } from '../queries'
import { CheckInForm } from './check-in-form'
import { GiveBack } from './give-back'
import { givenAnswers, IntakeQuestions, type Filled } from './intake-questions'

/** A form left alone this long is blanked, with whatever was typed, ms. */
const BLANK_AFTER_MS = 90_000

type Step = { at: 'names' } | { at: 'form'; id: string } | { at: 'blank'; id: string }

/** Passed from hand to hand: pick your name, answer, and the screen is blank before the next person has it. */
export function PassRound({
  data,
  asks,
  back,
}: {
  data: PassData
  asks: 'check-in' | 'health'
  back: string
}) {
  const [step, setStep] = useState<Step>({ at: 'names' })
  const [done, setDone] = useState<ReadonlySet<string>>(
    () => new Set(data.people.filter((p) => (asks === 'check-in' ? p.checkedIn : p.asked)).map((p) => p.id)),
  )
  useQuietly(step.at === 'form', () => setStep({ at: 'names' }))
  const name = (id: string): string => data.people.find((p) => p.id === id)?.name.split(' ')[0] ?? ''

  if (step.at === 'blank')
    return (
      <Stack align="center" justify="center" mih="80vh" gap="xl">
        <Title order={1} tabIndex={-1} ref={(node) => node?.focus()}>
          Thank you, {name(step.id)}.
        </Title>
        <Text fz="xl">Nothing of it is on the screen. Pass the tablet on.</Text>
        <Button variant="filled" size="xl" onClick={() => setStep({ at: 'names' })}>
          I am the next person
        </Button>
      </Stack>
    )
  if (step.at === 'form')
    return (
      <Stack maw={760} mx="auto" key={step.id}>
        <Group justify="space-between" wrap="nowrap">
          <Title order={1} fz={28}>
            {name(step.id)}
          </Title>
          <Button onClick={() => setStep({ at: 'names' })}>Not me</Button>
        </Group>
        {asks === 'check-in' ? (
          <CheckInForm studentId={step.id} daily={data.daily} onDone={() => finish(step.id)} />
        ) : (
          <OwnIntake studentId={step.id} questions={data.questions} onDone={() => finish(step.id)} />
        )}
      </Stack>
    )
  return (
    <Stack maw={760} mx="auto">
      <Title order={1}>{asks === 'check-in' ? 'How are you tonight?' : 'What should be known?'}</Title>
      <Text>
        {asks === 'check-in'
          ? 'Tap your name, five taps, and pass it on. Nobody else sees what you say.'
          : 'These questions help to choose versions that suit you. Answer as much or as little as you like. Your teacher is not a clinician: where a question raises a doubt, please ask one.'}
      </Text>
      <SimpleGrid cols={{ base: 1, xs: 2 }}>
        {data.people.map((person) => (
          <Button
            key={person.id}
            size="xl"
            variant={done.has(person.id) ? 'default' : 'light'}
            styles={{ label: { color: 'var(--ink)' } }}
            onClick={() => setStep({ at: 'form', id: person.id })}
          >
            {person.name}
            {done.has(person.id) ? ' · done' : ''}
          </Button>
        ))}
      </SimpleGrid>
      <Group justify="space-between" mt="xl">
        <Text role="status">
          {done.size} of {data.people.length} done
        </Text>
        <GiveBack back={back} withWord={data.withWord} />
      </Group>
    </Stack>
  )

  function finish(id: string): void {
    setDone((all) => new Set([...all, id]))
    setStep({ at: 'blank', id })
  }
}

function OwnIntake({
  studentId,
  questions,
  onDone,
}: {
  studentId: string
  questions: readonly QuestionView[]
  onDone: () => void
}) {
  const [filled, setFilled] = useState<Filled>({})
  const [entryId] = useState(newId)
  const { busy, problemOf, send } = useSubmit(savePassedScreening)
  const save = (way: 'answers' | 'nothing-applies' | 'gentle'): void => {
    void send({ entryId, studentId, way, answers: givenAnswers(filled) }).then((stored) => {
      if (stored) onDone()
    })
  }
  return (
    <Stack>
      <Group>
        <Button disabled={busy} onClick={() => save('gentle')}>
          Gentler versions, please, no reason
        </Button>
      </Group>
      <IntakeQuestions questions={questions} filled={filled} onChange={setFilled} />
      <FormProblem message={problemOf('')} />
      <Group>
        <Button variant="filled" size="lg" loading={busy} onClick={() => save('answers')}>
          Done
        </Button>
        <Button size="lg" disabled={busy} onClick={() => save('nothing-applies')}>
          I have read the list and none of it applies
        </Button>
      </Group>
    </Stack>
  )
}

/** Calls back once nothing was touched for a while. */
function useQuietly(on: boolean, then: () => void): void {
  useEffect(() => {
    if (!on) return
    let timer = setTimeout(then, BLANK_AFTER_MS)
    const again = (): void => {
      clearTimeout(timer)
      timer = setTimeout(then, BLANK_AFTER_MS)
    }
    window.addEventListener('pointerdown', again)
    window.addEventListener('keydown', again)
    return () => {
      clearTimeout(timer)
      window.removeEventListener('pointerdown', again)
      window.removeEventListener('keydown', again)
    }
  }, [on, then])
}
