'use client'

import { Button, Group, Select, Stack, Text, TextInput, Title } from '@mantine/core'
import { useState } from 'react'
import type { BodyInput } from '@/core/body/estimate'
import { parseQuantity } from '@/core/entry'
import { calibrate, modelRange, shareOf, WEIGHING_SHAPES } from '@/core/weighing/calibrate'
import { onScale } from '@/core/weighing/on-scale'
import { count, percent } from '@/core/words/number'
import { newId } from '@/device/facts'
import { simulatedScale } from '@/device/scale'
import { FormProblem } from '@/ui/form-problem'
import { useSubmit } from '../../use-submit'
import { dropWeighings, keepWeighing } from '../actions'
import type { BenchPerson } from '../queries'
import { OnScale, ShareSaid, whatItChanged } from './on-scale'

const SHAPE_WORDS: Readonly<Record<string, string>> = {
  'plank-hands': 'Hands, in a plank',
  'knee-plank-hands': 'Hands, in a plank on the knees',
  'dolphin-forearms': 'Forearms, in dolphin',
  'headbase-crown': 'Crown, headstand base with the feet down',
}
/** A household scale in any unit. */
const READING = { min: 0.1, max: 1000 }

/** Weighed, not guessed: two readings of any scale give a share; only the share is kept. */
export function WeighPanel({ person, input }: { person: BenchPerson | undefined; input: BodyInput }) {
  const [shapeId, setShapeId] = useState('plank-hands')
  const [standing, setStanding] = useState('')
  const [under, setUnder] = useState('')
  const [id, setId] = useState(newId)
  const [said, setSaid] = useState('')
  const { busy, problemOf, send } = useSubmit(keepWeighing)
  const forget = useSubmit(dropWeighings)
  const shape = WEIGHING_SHAPES.find((s) => s.id === shapeId) ?? WEIGHING_SHAPES[0]
  const usual = { ...input, massToLegs: 0 }
  const model = shape ? modelRange(input, shape) : null
  const [a, b] = [parseQuantity(under, READING), parseQuantity(standing, READING)]
  const share = a.ok && b.ok ? shareOf(a.value, b.value) : null

  const tryScale = (): void => {
    // The try-out scale reads what the model of a slightly different body would put on it.
    const scale = simulatedScale(Math.floor(performance.now()))
    setStanding(scale.standing().toFixed(1))
    setUnder(scale.under((model?.value ?? 0.6) - 0.012).toFixed(1))
    setSaid('')
  }
  const keep = async (): Promise<void> => {
    if (!person || !share?.ok) return
    const kept = await send({ id, studentId: person.id, shapeId, share: share.value })
    if (!kept || !shape) return
    const now = calibrate(usual, [...person.weighings, { shapeId, share: share.value }])
    const after = now.ok ? modelRange({ ...usual, massToLegs: now.value.massToLegs }, shape) : null
    setSaid(`Kept: only the share, neither reading. ${whatItChanged(model?.value, after?.value)}`)
    setStanding('')
    setUnder('')
    setId(newId())
  }
  return (
    <Stack maw={760}>
      <Title order={2} fz="xl">
        Weighed, not guessed
      </Title>
      <Text c="dimmed">
        A bathroom scale under hands, forearms or crown, and once standing. The unit does not matter: one
        divided by the other is all that is kept.
      </Text>
      <Select
        label="What lies on the scale"
        w={340}
        data={WEIGHING_SHAPES.map((s) => ({ value: s.id, label: SHAPE_WORDS[s.id] ?? s.id }))}
        value={shapeId}
        onChange={(value) => setShapeId(value ?? shapeId)}
      />
      <Group align="flex-end">
        <TextInput
          label="Standing on it"
          w={150}
          inputMode="decimal"
          value={standing}
          onChange={(e) => setStanding(e.currentTarget.value)}
        />
        <TextInput
          label="Under the part"
          w={150}
          inputMode="decimal"
          value={under}
          onChange={(e) => setUnder(e.currentTarget.value)}
        />
        <Button onClick={tryScale}>Read the try-out scale</Button>
      </Group>
      {shape && model ? (
        <OnScale
          picture={onScale(input, shape)}
          label={`${SHAPE_WORDS[shapeId] ?? shapeId}, on the scale`}
          model={model}
          weighed={share?.ok ? share.value : null}
        />
      ) : null}
      {share === null ? null : <ShareSaid share={share} model={model} />}
      <FormProblem message={problemOf('') ?? forget.problemOf('')} />
      <Group>
        <Button variant="filled" disabled={!person || !share?.ok} loading={busy} onClick={() => void keep()}>
          Keep the share{person ? ` for ${person.name.split(' ')[0] ?? ''}` : ''}
        </Button>
        {person && person.weighings.length > 0 ? (
          <Button onClick={() => void forget.send({ studentId: person.id })}>Forget what was weighed</Button>
        ) : null}
        <Text role="status">{said}</Text>
      </Group>
      {person ? null : <Text c="dimmed">Pick a person above to keep a share.</Text>}
      {person && person.weighings.length > 0 ? <Fitted usual={usual} person={person} /> : null}
    </Stack>
  )
}

/** How somebody's mass lies by everything that was weighed of them. */
function Fitted({ usual, person: { weighings } }: { usual: BodyInput; person: BenchPerson }) {
  const fitted = calibrate(usual, weighings)
  if (!fitted.ok) return null
  const { massToLegs, sd } = fitted.value
  return (
    <Text>
      From {count(weighings.length, 'weighing')}: {percent(Math.abs(massToLegs))} of the mass lies{' '}
      {massToLegs >= 0 ? 'lower' : 'higher'} than usual, ± {(sd * 200).toFixed(1)} points. Every figure of
      this person follows it.
    </Text>
  )
}
