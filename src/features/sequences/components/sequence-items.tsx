'use client'

import { ActionIcon, Button, Group, NumberInput, Select, Stack, Text, Title } from '@mantine/core'
import { IconArrowDown, IconArrowUp } from '@tabler/icons-react'
import { Figure } from '@/ui/figure/figure'
import { FormProblem } from '@/ui/form-problem'
import { useSubmit } from '../../use-submit'
import { changeSequence } from '../actions'
import type { SequenceItemView, SequenceView } from '../queries'

/** What a sequence is made of, part by part; what is worked at can be changed where it stands. */
export function SequenceItems({ view }: { view: SequenceView }) {
  return (
    <Stack gap="xs">
      {view.items.map((item, i) => (
        <div key={`${item.part} ${item.name}`}>
          {view.items[i - 1]?.part === item.part ? null : (
            <Title order={2} mt="sm" mb={4}>
              {item.partWord}
            </Title>
          )}
          <Item id={view.id} item={item} />
        </div>
      ))}
    </Stack>
  )
}

function Item({ id, item }: { id: string; item: SequenceItemView }) {
  return (
    <section className="card" aria-label={item.name}>
      <Group justify="space-between" wrap="nowrap" align="flex-start">
        <div>
          <Text fw={650}>{item.name}</Text>
          <Text>{item.how}</Text>
          <Text size="sm">
            {item.do} {item.lookFor === '' ? null : <em>{item.lookFor}</em>}
          </Text>
          {item.changed.map((line) => (
            <Text key={line} fw={600}>
              {line}
            </Text>
          ))}
          {item.closed === '' ? null : (
            <Text fw={600} role="note">
              {item.closed}
            </Text>
          )}
        </div>
        {item.picture ? <Figure picture={item.picture} height={72} /> : null}
      </Group>
      {item.sets === null ? null : <Change id={id} item={item} sets={item.sets} />}
    </section>
  )
}

function Change({ id, item, sets }: { id: string; item: SequenceItemView; sets: number }) {
  const { busy, problemOf, send } = useSubmit(changeSequence)
  const { at, name, others } = item
  return (
    <>
      <Group gap="xs" mt="xs" className="no-print">
        <Select
          aria-label={`Instead of ${name}`}
          placeholder="Something else instead"
          data={[...others]}
          value={null}
          searchable
          disabled={busy || others.length === 0}
          w={280}
          onChange={(to) => to && void send({ id, edit: { kind: 'swap', at, to } })}
        />
        <NumberInput
          aria-label={`Sets of ${name}`}
          suffix={sets === 1 ? ' set' : ' sets'}
          w={100}
          min={1}
          max={5}
          value={sets}
          disabled={busy}
          onChange={(value) =>
            typeof value === 'number' &&
            value !== sets &&
            void send({ id, edit: { kind: 'sets', at, sets: value } })
          }
        />
        <ActionIcon
          variant="default"
          size="lg"
          aria-label={`${name}: earlier`}
          disabled={busy}
          onClick={() => void send({ id, edit: { kind: 'move', at, by: -1 } })}
        >
          <IconArrowUp size={18} />
        </ActionIcon>
        <ActionIcon
          variant="default"
          size="lg"
          aria-label={`${name}: later`}
          disabled={busy}
          onClick={() => void send({ id, edit: { kind: 'move', at, by: 1 } })}
        >
          <IconArrowDown size={18} />
        </ActionIcon>
        <Button
          variant="subtle"
          c="var(--ink)"
          disabled={busy}
          aria-label={`Leave out ${name}`}
          onClick={() => void send({ id, edit: { kind: 'drop', at } })}
        >
          Leave out
        </Button>
      </Group>
      <FormProblem message={problemOf('')} />
    </>
  )
}
