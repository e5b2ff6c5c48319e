'use client'

import { Checkbox, Group, Radio, Stack, Text } from '@mantine/core'
import type { QuestionView } from '../queries'

export type Choice = 'no' | 'yes' | 'unsure' | 'not-said'
export type Filled = Readonly<Record<string, { choice: Choice | ''; options: readonly string[] }>>

const CHOICES: readonly { value: Choice; label: string }[] = [
  { value: 'no', label: 'No' },
  { value: 'yes', label: 'Yes' },
  { value: 'unsure', label: 'Not sure' },
  { value: 'not-said', label: 'Rather not say' },
]

/** The answers given so far, as an action takes them; what was not touched is not sent. */
export function givenAnswers(filled: Filled): { question: string; choice: Choice; options: string[] }[] {
  return Object.entries(filled).flatMap(([question, { choice, options }]) =>
    choice === '' ? [] : [{ question, choice, options: choice === 'yes' ? [...options] : [] }],
  )
}

/** Question by question; every answer is optional and each has a way not to say. */
export function IntakeQuestions({
  questions,
  filled,
  onChange,
}: {
  questions: readonly (QuestionView & { said?: string })[]
  filled: Filled
  onChange: (filled: Filled) => void
}) {
  return questions.map((question) => (
    <Question
      key={question.id}
      question={question}
      value={filled[question.id] ?? { choice: '', options: [] }}
      onChange={(part) =>
        onChange({
          ...filled,
          [question.id]: { ...(filled[question.id] ?? { choice: '', options: [] }), ...part },
        })
      }
    />
  ))
}

function Question({
  question: { question, followUp, options, said = '' },
  value,
  onChange,
}: {
  question: QuestionView & { said?: string }
  value: Filled[string]
  onChange: (part: Partial<Filled[string]>) => void
}) {
  return (
    <Stack gap={6}>
      <Radio.Group
        label={question}
        description={said === '' ? undefined : said}
        value={value.choice}
        onChange={(choice) => onChange({ choice })}
      >
        <Group mt={6} gap="lg">
          {CHOICES.map((choice) => (
            <Radio key={choice.value} value={choice.value} label={choice.label} />
          ))}
        </Group>
      </Radio.Group>
      {value.choice === 'yes' && options.length > 1 ? (
        <Checkbox.Group
          label={followUp === '' ? 'Which?' : followUp}
          description="Tick what fits. Nothing ticked is read on the safe side."
          value={[...value.options]}
          onChange={(ticked) => onChange({ options: ticked })}
        >
          <Group mt={6} gap="lg">
            {options.map((option) => (
              <Checkbox key={option.id} value={option.id} label={option.label} />
            ))}
          </Group>
        </Checkbox.Group>
      ) : null}
      {value.choice === 'yes' && options.length === 1 && followUp !== '' ? (
        <Text c="dimmed" size="sm">
          {followUp} Say it aloud if you like; it is not written down.
        </Text>
      ) : null}
    </Stack>
  )
}
