'use client'

import {
  Badge,
  Button,
  Group,
  List,
  ListItem,
  Modal,
  Select,
  Stack,
  Text,
  TextInput,
  Title,
} from '@mantine/core'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { FormProblem } from '@/ui/form-problem'
import { useSubmit } from '../../use-submit'
import { allowOption, applyPreset, choose, tryChoice, tryPreset } from '../actions'
import type { ApproachPage, OptionView, Preview, QuestionView } from '../queries'
import classes from './approach-list.module.css'
import { Notice } from '@/ui/notice'

type Pending =
  | { kind: 'option'; approach: string; option: string | null; name: string; preview: Preview }
  | { kind: 'preset'; preset: string; name: string; preview: Preview }

/** Every question on which good teachers differ: positions side by side, and what a change would do before it is made. */
export function ApproachList({ page }: { page: ApproachPage }) {
  const [pending, setPending] = useState<Pending | null>(null)
  const [filter, setFilter] = useState('')
  const at = { scope: page.scope, scopeId: page.scopeId }
  const tryOne = useSubmit(tryChoice)
  const tryAll = useSubmit(tryPreset)
  const keepOne = useSubmit(choose)
  const keepAll = useSubmit(applyPreset)
  const shown = page.questions.filter((q) => q.question.toLowerCase().includes(filter.trim().toLowerCase()))

  const look = async (approach: string, option: string | null, name: string): Promise<void> => {
    const preview = await tryOne.send({ ...at, approach, option })
    if (preview) setPending({ kind: 'option', approach, option, name, preview })
  }
  const lookPreset = async (preset: string, name: string): Promise<void> => {
    const preview = await tryAll.send({ ...at, preset })
    if (preview) setPending({ kind: 'preset', preset, name, preview })
  }
  const keep = async (): Promise<void> => {
    if (!pending) return
    const stored =
      pending.kind === 'option'
        ? await keepOne.send({ ...at, approach: pending.approach, option: pending.option })
        : await keepAll.send({ ...at, preset: pending.preset })
    if (!stored) return
    setPending(null)
  }
  const trouble =
    tryOne.problemOf('') ?? tryAll.problemOf('') ?? keepOne.problemOf('') ?? keepAll.problemOf('')
  return (
    <Stack>
      <ScopePick page={page} />
      <Group gap="xs" role="group" aria-label="Start from">
        <Text>Start from</Text>
        {[...page.presets, { id: 'none', name: 'None of them' }].map((preset) => (
          <Button key={preset.id} onClick={() => void lookPreset(preset.id, preset.name)}>
            {preset.name}
          </Button>
        ))}
      </Group>
      {page.clashes.length === 0 ? null : (
        <Notice tone="straw" title="These do not go together">
          <List>
            {page.clashes.map((c) => (
              <ListItem key={c.pair}>
                <strong>{c.pair}</strong>: {c.text}
              </ListItem>
            ))}
          </List>
        </Notice>
      )}
      <FormProblem message={pending ? undefined : trouble} />
      <TextInput
        label="Find a question"
        w={320}
        value={filter}
        onChange={(e) => setFilter(e.currentTarget.value)}
      />
      {shown.map((question) => (
        <Question key={question.id} question={question} busy={tryOne.busy} onPick={look} />
      ))}
      {shown.length === 0 ? <Text>No question with these words.</Text> : null}
      <Modal
        opened={pending !== null}
        onClose={() => setPending(null)}
        title={`${pending?.name ?? ''}, for ${page.of}`}
        size="lg"
      >
        {pending ? (
          <Stack>
            <PreviewLines preview={pending.preview} />
            <FormProblem message={trouble} />
            <Group>
              <Button variant="filled" loading={keepOne.busy || keepAll.busy} onClick={() => void keep()}>
                Use it for {page.of}
              </Button>
              <Button onClick={() => setPending(null)}>Leave it as it is</Button>
            </Group>
          </Stack>
        ) : null}
      </Modal>
    </Stack>
  )
}

function PreviewLines({ preview }: { preview: Preview }) {
  return (
    <>
      {preview.hides.length + preview.does.length > 0 ? (
        <List>
          {[...preview.hides, ...preview.does].map((line) => (
            <ListItem key={line}>{line}</ListItem>
          ))}
        </List>
      ) : (
        <Text>Everything as it comes from the practice: nothing is said, set or asked besides.</Text>
      )}
      <Title order={3}>What would change for whom</Title>
      {preview.lines.length === 0 ? (
        <Text>Nobody’s next step.</Text>
      ) : (
        <List>
          {preview.lines.map((line) => (
            <ListItem key={line}>{line}</ListItem>
          ))}
        </List>
      )}
    </>
  )
}

function ScopePick({ page }: { page: ApproachPage }) {
  const router = useRouter()
  const go = (scope: string, id: string): void =>
    router.push(scope === 'teacher' ? '/studio/approaches' : `/studio/approaches?scope=${scope}&id=${id}`)
  return (
    <Group align="flex-end">
      <Button variant={page.scope === 'teacher' ? 'filled' : 'default'} onClick={() => go('teacher', '')}>
        Every class
      </Button>
      <Select
        label="One class"
        w={280}
        placeholder="Pick a class"
        data={[...page.classes]}
        value={page.scope === 'class' ? page.scopeId : null}
        onChange={(id) => id && go('class', id)}
      />
      <Select
        label="One person"
        w={240}
        searchable
        placeholder="Pick a person"
        data={[...page.people]}
        value={page.scope === 'student' ? page.scopeId : null}
        onChange={(id) => id && go('student', id)}
      />
    </Group>
  )
}

function Question({
  question,
  busy,
  onPick,
}: {
  question: QuestionView
  busy: boolean
  onPick: (approach: string, option: string | null, name: string) => Promise<void>
}) {
  return (
    <section aria-labelledby={question.id}>
      <Group gap="sm" mb={6}>
        <Title order={2} id={question.id}>
          {question.question}
        </Title>
        <Badge variant="outline" color="slate" styles={{ label: { color: 'var(--ink)' } }}>
          {question.from}
        </Badge>
        {question.own ? (
          <Button
            variant="subtle"
            c="var(--ink)"
            onClick={() => void onPick(question.id, null, 'Back to what stands above')}
          >
            Take back
          </Button>
        ) : null}
      </Group>
      <div className={classes.options}>
        {question.options.map((option) => (
          <Position
            key={option.id}
            approach={question.id}
            option={option}
            inForce={option.id === question.inForce}
            busy={busy}
            onPick={() => void onPick(question.id, option.id, option.name)}
          />
        ))}
      </div>
    </section>
  )
}

function Position({
  approach,
  option,
  inForce,
  busy,
  onPick,
}: {
  approach: string
  option: OptionView
  inForce: boolean
  busy: boolean
  onPick: () => void
}) {
  const { send, problemOf } = useSubmit(allowOption)
  return (
    <article className={classes.option} data-now={inForce} aria-label={option.name}>
      <Text fw={650}>
        {option.name}
        {inForce ? ' · in use' : ''}
      </Text>
      <Text size="sm">{option.reason}</Text>
      <Text size="sm" c="dimmed">
        Cost: {option.cost}
      </Text>
      {option.does.map((line) => (
        <Text key={line} size="sm">
          {line}
        </Text>
      ))}
      <FormProblem message={problemOf('')} />
      <Group gap="xs" mt="auto">
        <Button disabled={inForce || option.forbidden || busy} onClick={onPick}>
          {option.forbidden ? 'Not in this house' : 'See what changes'}
        </Button>
        <Button
          variant="subtle"
          c="var(--ink)"
          onClick={() => void send({ approach, option: option.id, allowed: option.forbidden })}
        >
          {option.forbidden ? 'Allow here' : 'Forbid here'}
        </Button>
      </Group>
    </article>
  )
}
