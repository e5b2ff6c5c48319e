'use client'

import {
  Alert,
  Grid,
  GridCol,
  Group,
  List,
  Select,
  Slider,
  Stack,
  Table,
  Text,
  TextInput,
  Title,
} from '@mantine/core'
import { useMemo, useState } from 'react'
import { estimateBody, STATURE_RANGE, type BodyInput } from '@/core/body/estimate'
import { armLoad } from '@/core/mechanics/position'
import { findSetup, solveSetup } from '@/core/setups/catalogue'
import type { SetupOption, SetupSolution } from '@/core/setups/setup'
import type { Stock } from '@/core/props/stock'
import { parseLength } from '@/core/units'
import { deg, length, percent, plain, type Wording } from '@/core/words/number'
import { choiceLabel } from '@/core/words/choice'
import { describeBody, describeLength, describeSetup } from '@/core/words/refusal'
import {
  bodyWay,
  describeProp,
  describeLoads,
  describeScene,
  describeStep,
  describeWarning,
  placementLabel,
  placementValue,
  plumbSentence,
} from '@/core/words/setup'
import { GapHandle } from '@/ui/scene/gap-handle'
import { SceneView } from '@/ui/scene/scene-view'
import { useWording } from '@/ui/wording'
import type { BenchPerson } from '../queries'

type Props = {
  people: readonly BenchPerson[]
  setups: readonly { id: string; label: string }[]
  stock: Stock
  initialStudent: string | null
  initialSetup: string
}

const GENERIC_STATURE = '168'

/** Pick a body and a setup, move the handles, read where the hands go. */
export function SetupBench({ people, setups, stock, initialStudent, initialSetup }: Props) {
  const wording = useWording()
  const [personId, setPersonId] = useState(initialStudent)
  const [setupId, setSetupId] = useState(initialSetup)
  const [stature, setStature] = useState(GENERIC_STATURE)
  const [options, setOptions] = useState<Options>({})
  const person = people.find((p) => p.id === personId)
  const typed = parseLength(
    stature,
    STATURE_RANGE,
    wording.units === 'in' && stature !== GENERIC_STATURE ? 'in' : 'cm',
  )
  const typedCm = typed.ok ? typed.value : null
  const input: BodyInput | null = person?.body ?? (typedCm === null ? null : { statureCm: typedCm })

  return (
    <Stack>
      <Group align="flex-start">
        <Select
          label="Whose body"
          w={240}
          searchable
          data={[
            { value: '', label: 'Any body, by height' },
            ...people.map((p) => ({ value: p.id, label: p.name })),
          ]}
          value={personId ?? ''}
          onChange={(id) => setPersonId(id === '' ? null : id)}
        />
        {person?.body ? null : (
          <TextInput
            label={person ? `${person.name} has no height yet; try one` : 'Height'}
            w={220}
            value={stature}
            error={typed.ok ? undefined : describeLength(typed.refusal, wording)}
            onChange={(e) => setStature(e.currentTarget.value)}
          />
        )}
        <Select
          label="Setup"
          w={320}
          data={setups.map((s) => ({ value: s.id, label: s.label }))}
          value={setupId}
          onChange={(id) => {
            // Options belong to one setup; another starts from its own usual values.
            setOptions({})
            setSetupId(id ?? setupId)
          }}
        />
      </Group>
      {input ? (
        <Solved
          key={setupId}
          input={input}
          setupId={setupId}
          options={options}
          stock={stock}
          change={(part) => setOptions((all) => ({ ...all, ...part }))}
          wording={wording}
        />
      ) : null}
    </Stack>
  )
}

type Options = Readonly<Record<string, number>>

type SolvedProps = {
  input: BodyInput
  setupId: string
  options: Options
  stock: Stock
  change: (part: Options) => void
  wording: Wording
}

function Solved({ input, setupId, options, stock, change, wording }: SolvedProps) {
  const body = estimateBody(input)
  if (!body.ok) return <Refusal text={describeBody(body.refusal, wording)} />
  const solved = solveSetup(setupId, body.value, options, stock)
  const usual = solved.ok ? null : solveSetup(setupId, body.value, {}, stock)
  const shown = solved.ok ? solved.value : usual?.ok ? usual.value : null
  return (
    <Grid gap="xl">
      <GridCol span={{ base: 12, lg: 7 }}>
        <Stack gap="sm">
          {solved.ok ? null : <Refusal text={describeSetup(solved.refusal, wording)} />}
          {shown ? <Drawing solution={shown} change={change} wording={wording} /> : null}
        </Stack>
      </GridCol>
      <GridCol span={{ base: 12, lg: 5 }}>
        {shown ? <Numbers solution={shown} wording={wording} /> : null}
      </GridCol>
    </Grid>
  )
}

function Refusal({ text }: { text: string }) {
  return <Alert role="alert" color="clay" title={text} styles={{ title: { color: 'var(--warn-ink)' } }} />
}

function Drawing({
  solution,
  change,
  wording,
}: {
  solution: SetupSolution
  change: (part: Options) => void
  wording: Wording
}) {
  const { scene, options } = solution
  const all = findSetup(solution.id)?.options ?? []
  const gap = all.find(({ key }) => GAP_KEYS.includes(key))
  const gapCm = gap ? options[gap.key] : undefined
  return (
    <>
      <SceneView scene={scene} wording={wording} label={describeScene(solution, wording)}>
        {gap && gapCm !== undefined && scene.wallX !== null ? (
          <GapHandle
            wallX={scene.wallX}
            gapCm={gapCm}
            min={gap.min}
            max={gap.max}
            label={gap.label}
            valueText={length(gapCm, wording)}
            onChange={(value) => change({ [gap.key]: value })}
          />
        ) : null}
      </SceneView>
      <Figures solution={solution} wording={wording} />
      {all.map((option) => (
        <OptionControl
          key={option.key}
          option={option}
          value={options[option.key] ?? option.min}
          wording={wording}
          onChange={(value) => change({ [option.key]: value })}
        />
      ))}
    </>
  )
}

/** Options that move the wall: the drawing has a handle for them. */
const GAP_KEYS = ['wallGapCm', 'fingertipGapCm']
const STEP = { cm: 0.5, deg: 5, share: 0.05, choice: 1 } as const

/** A slider, or a choice by name, for one option of a setup. */
function OptionControl({
  option,
  value,
  wording,
  onChange,
}: {
  option: SetupOption
  value: number
  wording: Wording
  onChange: (value: number) => void
}) {
  if (option.choices)
    return (
      <Select
        label={option.label}
        data={option.choices.map((choice, i) => ({ value: String(i), label: choiceLabel(choice) }))}
        value={String(value)}
        allowDeselect={false}
        onChange={(i) => onChange(Number(i ?? value))}
      />
    )
  return (
    <Control
      label={option.label}
      value={value}
      min={option.min}
      max={option.max}
      step={STEP[option.unit]}
      text={
        option.unit === 'cm' ? length(value, wording) : option.unit === 'deg' ? deg(value) : percent(value)
      }
      onChange={onChange}
    />
  )
}

/** The figures that matter most, heard by screen readers when a handle moves. */
function Figures({ solution, wording }: { solution: SetupSolution; wording: Wording }) {
  const { target, start } = solution
  const arms = armLoad(target)
  return (
    <Stack gap={2} aria-live="polite">
      <Text>
        <strong>{describeLoads(target)}</strong> of body weight
        {arms.max - arms.min > 0.04
          ? ` (arms ${percent(arms.min)} to ${percent(arms.max)}, by where the weight sits on them)`
          : ''}
        {start === target ? '.' : `. At the start: ${describeLoads(start).toLowerCase()}.`}
      </Text>
      <Text>{plumbSentence(target, wording)}</Text>
      {target.wallX === null ? null : (
        <Text>
          Lean {deg(Math.max(target.angles.trunkLeanDeg, 0))}, arch {deg(target.angles.archDeg)}. Crown{' '}
          {length(Math.max(0, target.headClearanceCm), wording)} clear.
        </Text>
      )}
      {start.rise ? (
        <Text>
          The kick has {length(start.rise.riseCm, wording)} still to lift ({plain(start.rise.energyJPerKg)}{' '}
          J/kg).
        </Text>
      ) : null}
    </Stack>
  )
}

function Control({
  label,
  value,
  min,
  max,
  step,
  text,
  onChange,
}: {
  label: string
  value: number
  min: number
  max: number
  step: number
  text: string
  onChange: (value: number) => void
}) {
  return (
    <div>
      <Group justify="space-between">
        <Text fw={500}>{label}</Text>
        <Text>{text}</Text>
      </Group>
      <Slider
        thumbLabel={label}
        value={value}
        min={min}
        max={max}
        step={step}
        label={null}
        thumbSize={26}
        onChange={onChange}
        thumbProps={{ 'aria-valuetext': text }}
      />
    </div>
  )
}

function Numbers({ solution, wording }: { solution: SetupSolution; wording: Wording }) {
  return (
    <Stack gap="lg">
      {solution.warnings.map((warning) => (
        <Alert
          key={warning.code}
          color="clay"
          title={describeWarning(warning, wording)}
          styles={{ title: { color: 'var(--warn-ink)' } }}
        />
      ))}
      <section aria-labelledby="placements">
        <Title order={2} id="placements" fz="xl">
          Where things go
        </Title>
        <Table verticalSpacing="xs">
          <Table.Tbody>
            {solution.placements.map((placement) => (
              <Table.Tr key={placement.key}>
                <Table.Th scope="row" fw={500} style={{ verticalAlign: 'top' }}>
                  {placementLabel(placement.key)}
                  <Text size="sm" c="dimmed">
                    {bodyWay(placement, wording)}
                  </Text>
                </Table.Th>
                <Table.Td ta="right" fw={650} style={{ verticalAlign: 'top', whiteSpace: 'nowrap' }}>
                  {placementValue(placement, wording)}
                </Table.Td>
              </Table.Tr>
            ))}
          </Table.Tbody>
        </Table>
      </section>
      <section aria-labelledby="steps">
        <Title order={2} id="steps" fz="xl" mb={4}>
          In this order
        </Title>
        <Text c="dimmed" mb="xs">
          Fetch: {solution.props.map((prop) => describeProp(prop, wording)).join(' · ') || 'nothing'}
        </Text>
        <List type="ordered" spacing={4}>
          {solution.steps.map((s) => (
            <List.Item key={s.code}>{describeStep(s, wording)}</List.Item>
          ))}
        </List>
      </section>
    </Stack>
  )
}
