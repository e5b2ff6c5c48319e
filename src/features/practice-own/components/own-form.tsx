'use client'

import { Button, Group, List, Stack, Text, Title } from '@mantine/core'
import { useState } from 'react'
import { newId } from '@/device/facts'
import { FormProblem } from '@/ui/form-problem'
import { useSubmit } from '../../use-submit'
import { dropOwn, keepOwn, tryOwn } from '../actions'
import type { OwnPreview, OwnView } from '../queries'
import { OwnFieldInput } from './own-field'

/** How this studio says or asks it, beside what the practice has; what would change is shown before it is kept. */
export function OwnForm({ own }: { own: OwnView }) {
  const { kind, id: target } = own
  const [typed, setTyped] = useState(() => Object.fromEntries(own.fields.map((f) => [f.key, f.value])))
  const [preview, setPreview] = useState<OwnPreview | null>(null)
  const tried = useSubmit(tryOwn)
  const kept = useSubmit(keepOwn)
  const dropped = useSubmit(dropOwn)
  const problemOf = (key: string): string | undefined => kept.problemOf(key) ?? tried.problemOf(key)
  const set = (key: string, value: string): void => {
    setTyped((now) => ({ ...now, [key]: value }))
    setPreview(null)
  }
  return (
    <Stack gap="sm">
      {own.fields.map((field) => (
        <OwnFieldInput
          key={field.key}
          field={field}
          value={typed[field.key] ?? ''}
          error={problemOf(field.key)}
          onChange={(value) => set(field.key, value)}
        />
      ))}
      <FormProblem message={problemOf('') ?? dropped.problemOf('')} />
      {preview ? <Preview preview={preview} /> : null}
      <Group>
        <Button
          loading={tried.busy}
          onClick={() => void tried.send({ kind, target, typed }).then(setPreview)}
        >
          What would change?
        </Button>
        <Button
          variant="filled"
          loading={kept.busy}
          onClick={() => void kept.send({ id: newId(), kind, target, typed })}
        >
          Keep it for this studio
        </Button>
        {own.isOwn && own.built === null ? (
          <Button
            loading={dropped.busy}
            onClick={() =>
              void dropped.send({ id: newId(), kind, target }).then((done) => {
                if (done) setTyped(Object.fromEntries(own.fields.map((f) => [f.key, f.practice])))
              })
            }
          >
            Back to the practice
          </Button>
        ) : null}
      </Group>
      {own.history.length === 0 ? null : (
        <div>
          <Title order={3}>Changed here</Title>
          <List size="sm">
            {own.history.map((h) => (
              <List.Item key={h.id}>
                {h.when}. {h.what}
              </List.Item>
            ))}
          </List>
        </div>
      )}
    </Stack>
  )
}

/** Whose next step a change would move. */
export function Preview({ preview: { lines, asked } }: { preview: OwnPreview }) {
  return (
    <section aria-label="What would change" role="status">
      <Text fw={600}>
        {lines.length === 0 ? 'Nobody’s next step would change.' : 'These next steps would change:'}
      </Text>
      <List>
        {lines.map((line) => (
          <List.Item key={line}>{line}</List.Item>
        ))}
      </List>
      <Text size="sm" c="dimmed">
        {asked}
      </Text>
    </section>
  )
}
