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
import { solveSetup } from '@/core/setups/catalogue'
import type { SetupOptions, SetupSolution } from '@/core/setups/setup'
import { BLOCK_GAP } from '@/core/setups/wall-kick-forearm-block'
import { USUAL_BLOCK } from '@/core/props/blocks'
import { parseLength } from '@/core/units'
import { deg, length, percent, plain, type Wording } from '@/core/words/number'
import { describeBody, describeLength, describeSetup } from '@/core/words/refusal'
import {
  bodyWay,
  describeProp,
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
  blocks: number
  initialStudent: string | null
  initialSetup: string
}

const GENERIC_STATURE = '168'

/** Pick a body and a setup, move the handles, read where the hands go. */
export function SetupBench({ people, setups, blocks, initialStudent, initialSetup }: Props) {
  const wording = useWording()
  const [personId, setPersonId] = useState(initialStudent)
  const [setupId, setSetupId] = useState(initialSetup)
  const [stature, setStature] = useState(GENERIC_STATURE)
  const [options, setOptions] = useState<SetupOptions>({})
  const person = people.find((p) => p.id === personId)
  const typed = parseLength(
    stature,
    STATURE_RANGE,
    wording.units === 'in' && stature !== GENERIC_STATURE ? 'in' : 'cm',
  )
  const typedCm = typed.ok ? typed.value : null
  const input: BodyInput | null = person?.body ?? (typedCm === null ? null : { statureCm: typedCm })
  const stock = useMemo(() => Array.from({ length: Math.min(2, blocks) }, () => USUAL_BLOCK), [blocks])

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
          onChange={(id) => setSetupId(id ?? setupId)}
        />
      </Group>
      {input ? (
        <Solved
          key={setupId}
          input={input}
          setupId={setupId}
          options={{ ...options, blocks: stock }}
          change={(part) => setOptions((all) => ({ ...all, ...part }))}
          wording={wording}
        />
      ) : null}
    </Stack>
  )
}

type SolvedProps = {
  input: BodyInput
  setupId: string
  options: SetupOptions
  change: (part: SetupOptions) => void
  wording: Wording
}

function Solved({ input, setupId, options, change, wording }: SolvedProps) {
  const body = estimateBody(input)
  if (!body.ok) return <Refusal text={describeBody(body.refusal, wording)} />
  const solved = solveSetup(setupId, body.value, options)
  const usual = solved.ok
    ? null
    : solveSetup(setupId, body.value, options.blocks ? { blocks: options.blocks } : {})
  const shown = solved.ok ? solved.value : usual?.ok ? usual.value : null
  return (
    <Grid gap="xl">
      <GridCol span={{ base: 12, lg: 7 }}>
        <Stack gap="sm">
          {solved.ok ? null : <Refusal text={describeSetup(solved.refusal, wording)} />}
          {shown ? <Drawing solution={shown} options={options} change={change} wording={wording} /> : null}
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
  options,
  change,
  wording,
}: {
  solution: SetupSolution
  options: SetupOptions
  change: (part: SetupOptions) => void
  wording: Wording
}) {
  const gap = solution.placements.find((p) => p.key === 'block-gap')
  const feet = solution.placements.find((p) => p.key === 'walk-in')
  const setGap = (wallGapCm: number): void => change({ wallGapCm })
  return (
    <>
      <SceneView scene={solution.scene} wording={wording} label={describeScene(solution, wording)}>
        {gap && solution.scene.wallX !== null ? (
          <GapHandle
            wallX={solution.scene.wallX}
            gapCm={gap.valueCm}
            min={BLOCK_GAP.minCm}
            max={BLOCK_GAP.maxCm}
            label="Block to wall"
            valueText={length(gap.valueCm, wording)}
            onChange={setGap}
          />
        ) : null}
      </SceneView>
      <Figures solution={solution} wording={wording} />
      {gap ? (
        <Control
          label="Block to wall"
          value={gap.valueCm}
          min={BLOCK_GAP.minCm}
          max={BLOCK_GAP.maxCm}
          step={0.5}
          text={length(gap.valueCm, wording)}
          onChange={setGap}
        />
      ) : null}
      {gap ? (
        <Control
          label="Arch at the wall"
          value={Math.round((options.archShare ?? 0) * 100)}
          min={0}
          max={100}
          step={5}
          text={
            solution.target.angles.archDeg < 0.5
              ? 'straight, the whole body leans'
              : `${deg(solution.target.angles.archDeg)} between ribs and legs`
          }
          onChange={(v) => change({ archShare: v / 100 })}
        />
      ) : null}
      {feet ? (
        <Control
          label="Feet from the elbows"
          value={feet.valueCm}
          min={45}
          max={130}
          step={1}
          text={length(feet.valueCm, wording)}
          onChange={(toeDistanceCm) => change({ toeDistanceCm })}
        />
      ) : null}
      <Control
        label="Knee bend"
        value={options.kneeBendDeg ?? 10}
        min={0}
        max={90}
        step={5}
        text={deg(options.kneeBendDeg ?? 10)}
        onChange={(kneeBendDeg) => change({ kneeBendDeg })}
      />
    </>
  )
}

/** The figures that matter most, heard by screen readers when a handle moves. */
function Figures({ solution, wording }: { solution: SetupSolution; wording: Wording }) {
  const { target, start } = solution
  const arms = armLoad(target)
  const before = armLoad(start)
  return (
    <Stack gap={2} aria-live="polite">
      <Text>
        <strong>Arms carry about {percent(arms.value)}</strong> of body weight
        {arms.max - arms.min > 0.04
          ? ` (${percent(arms.min)} to ${percent(arms.max)}, by where the weight sits on the forearms)`
          : ''}
        {start === target ? '.' : `, from ${percent(before.value)} at the start.`}
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
