'use client'

import { Grid, GridCol, Group, SegmentedControl, Select, Stack, TextInput } from '@mantine/core'
import dynamic from 'next/dynamic'
import { memo, useCallback, useDeferredValue, useRef, useState, type ReactNode } from 'react'
import type { Disagreement } from '@/core/approaches/disagree'
import { STATURE_RANGE } from '@/core/body/estimate'
import { parseLength } from '@/core/units'
import { describeLength } from '@/core/words/length'
import type { Wording } from '@/core/words/number'
import { useWording } from '@/ui/wording'
import type { BenchData, BenchPerson } from '../queries'
import classes from './bench.module.css'
import { ReadingPanels } from './reading-panels'
import { useAddress, useBegun, useInput, type Options } from './bench-state'
import { useMoves, useStanding } from './use-moves'
import { useAsk } from './use-ask'
import { usePerson } from './use-person'

const BenchDrawing = dynamic(() => import('./bench-drawing').then((m) => m.BenchDrawing), { ssr: false })
const BenchNumbers = dynamic(() => import('./bench-numbers').then((m) => m.BenchNumbers), { ssr: false })
const BenchSides = dynamic(() => import('./bench-numbers').then((m) => m.BenchSides), { ssr: false })
// What stands below the drawing, or behind another tab, comes when the drawing is there.
const NotBuilt = dynamic(() => import('./not-built').then((m) => m.NotBuilt), { ssr: false })
const ComparePanel = dynamic(() => import('./compare-panel').then((m) => m.ComparePanel), { ssr: false })
const MeasurePanel = dynamic(() => import('./measure-panel').then((m) => m.MeasurePanel), { ssr: false })
const KeepPanel = dynamic(() => import('./keep-panel').then((m) => m.KeepPanel), { ssr: false })
const WeighPanel = dynamic(() => import('./weigh-panel').then((m) => m.WeighPanel), { ssr: false })

export type AskRenderer = (
  asked: Disagreement,
  person: Pick<BenchPerson, 'id' | 'name'> | null,
  onDone: () => void,
) => ReactNode

type Props = BenchData & {
  initialStudent: string | null
  initialSetup: string
  /** How it opens, where a step asks for its own way. */
  initialOptions?: Options
  /** Asks whether a hand that disagrees with the way of working means it for always. */
  renderAsk?: AskRenderer
}

const GENERIC_CM = 168
const PANELS = [
  { value: 'bench', label: 'Bench' },
  { value: 'why', label: 'Why here' },
  { value: 'wrong', label: 'Goes wrong' },
  { value: 'compare', label: 'Compare' },
  { value: 'measure', label: 'Measure' },
  { value: 'weigh', label: 'Weigh' },
]

/** Panels that speak of the setup on the bench: nothing to say where it cannot be built. */
const ON_ONE_SETUP: ReadonlySet<string> = new Set(['bench', 'why', 'wrong'])

/** The height of any body as it was typed, or the usual one with what is wrong with it. */
function heightTyped(stature: string, wording: Wording): { genericCm: number; problem: string | undefined } {
  const typed = parseLength(stature === '' ? `${GENERIC_CM} cm` : stature, STATURE_RANGE, wording.units)
  return typed.ok
    ? { genericCm: typed.value, problem: undefined }
    : { genericCm: GENERIC_CM, problem: describeLength(typed.refusal, wording) }
}

/** What a person is measured for: what comes next for them, or what stands on the bench unless it is closed to them. */
function worthPuttingUp(person: BenchPerson | undefined, setupId: string): readonly string[] {
  if (person && person.next.length > 0) return person.next
  return person?.bySetup[setupId]?.closed === true ? [] : [setupId]
}

/** Pick a body and a setup, move the handles, read where the hands go. */
export function SetupBench({
  people,
  setups,
  stock,
  approaches,
  begins,
  initialStudent,
  initialSetup,
  initialOptions,
  first,
  renderAsk,
}: Props) {
  const wording = useWording()
  const [panel, setPanel] = useState('bench')
  const { personId, person, pick: setPersonId, refresh } = usePerson(people, initialStudent, first)
  const [setupId, setSetupId] = useState(initialSetup)
  const { moved, stopped, move, put, standsRef } = useMoves(stock, initialOptions)
  const { asked, ask, done } = useAsk(approaches, moved, setupId)
  const [stature, setStature] = useState('')
  const svgRef = useRef<SVGSVGElement>(null)
  const { genericCm, problem } = heightTyped(stature, wording)
  const input = useInput(person?.body ?? null, genericCm)
  const { options, shown } = useBegun(input, setupId, person ?? { begins }, moved, stock)
  useStanding(standsRef, shown)
  // Drawing and numbers follow a handle in the same frame; the slower panels follow when there is time.
  const calm = useDeferredValue(shown)
  const calmOptions = useDeferredValue(options)
  const facts = setups.find((s) => s.id === setupId)
  const labelOf = useCallback((id: string): string => setups.find((s) => s.id === id)?.label ?? id, [setups])

  const pick = useCallback(
    (id: string, next: Options = {}): void => {
      // Options belong to one setup; another starts from its own usual values.
      put(next)
      setSetupId(id)
      done()
    },
    [done, put],
  )
  useAddress(setupId, personId)
  return (
    <Stack>
      <BenchBar
        {...{ people, setups, person, personId, setupId, panel, stature, problem }}
        onPerson={(id) => {
          // Another body may go further.
          put(moved)
          setPersonId(id)
        }}
        onStature={setStature}
        onSetup={pick}
        onPanel={setPanel}
      />
      {panel === 'bench' && shown.solution ? (
        <Grid gap="lg">
          <GridCol span={{ base: 12, lg: 8 }}>
            <Stack>
              {asked ? renderAsk?.(asked, person ?? null, done) : null}
              <BenchDrawing
                solution={shown.solution}
                refusal={shown.refusal}
                {...{ stock, wording, svgRef, stopped }}
                change={move}
                onDone={ask}
              />
              <KeepPanel
                {...{ person, setupId, labelOf, svgRef }}
                options={calmOptions}
                statureCm={genericCm}
                onRecall={pick}
                onKept={refresh}
              />
            </Stack>
          </GridCol>
          <GridCol span={{ base: 12, lg: 4 }}>
            <Stack gap="lg">
              <BenchNumbers solution={shown.solution} person={person} wording={wording} />
              {facts && calm.solution ? (
                <BenchSides
                  {...{ facts, labelOf }}
                  touch={person?.touch}
                  solution={calm.solution}
                  onPick={pick}
                />
              ) : null}
            </Stack>
          </GridCol>
        </Grid>
      ) : ON_ONE_SETUP.has(panel) && !shown.solution ? (
        <NotBuilt {...{ setupId, labelOf, person }} refusal={shown.refusal} onPick={pick} />
      ) : null}
      <ReadingPanels
        {...{ panel, facts, stock, wording }}
        shown={calm}
        limit={person?.bySetup[setupId]?.text ?? ''}
      />
      {panel === 'compare' ? (
        <ComparePanel
          key={`${personId} ${setupId}`}
          {...{ people, setups, stock, genericCm, wording }}
          from={{ personId: person?.body ? personId : '', setupId, options }}
          isClosed={(id) => person?.bySetup[id]?.closed === true}
        />
      ) : null}
      {panel === 'measure' && shown.body ? (
        <MeasurePanel
          {...{ person, input, labelOf, stock, wording }}
          body={shown.body}
          setupIds={worthPuttingUp(person, setupId)}
        />
      ) : null}
      {panel === 'weigh' ? (
        <WeighPanel key={personId} person={person?.body ? person : undefined} input={input} />
      ) : null}
    </Stack>
  )
}

type BarProps = Pick<BenchData, 'people' | 'setups'> & {
  person: BenchPerson | undefined
  personId: string
  setupId: string
  panel: string
  stature: string
  problem: string | undefined
  onPerson: (id: string) => void
  onStature: (typed: string) => void
  onSetup: (id: string) => void
  onPanel: (panel: string) => void
}

/** Whose body, which setup, which panel. Apart, so that a moved handle does not redraw two long lists. */
const BenchBar = memo(function BenchBar({ people, setups, person, ...bar }: BarProps) {
  return (
    <Group align="flex-start" gap="sm">
      <Select
        label="Whose body"
        w={190}
        searchable
        data={[
          { value: '', label: 'Any body, by height' },
          ...people.map((p) => ({ value: p.id, label: p.name })),
        ]}
        value={bar.personId}
        onChange={(id) => bar.onPerson(id ?? '')}
      />
      {person?.body ? null : (
        <TextInput
          label={person ? `${person.name} has no height yet; try one` : 'Height'}
          w={190}
          placeholder="168 cm"
          value={bar.stature}
          error={bar.problem}
          onChange={(e) => bar.onStature(e.currentTarget.value)}
        />
      )}
      <Select
        label="Setup"
        w={270}
        searchable
        data={setupChoices(setups, person)}
        value={bar.setupId}
        onChange={(id) => bar.onSetup(id ?? bar.setupId)}
      />
      <SegmentedControl
        aria-label="What to look at"
        mt={26}
        className={classes.panels}
        data={PANELS}
        value={bar.panel}
        onChange={bar.onPanel}
      />
    </Group>
  )
})

function setupChoices(setups: BenchData['setups'], person: BenchPerson | undefined) {
  const all = setups.map((s) => ({ value: s.id, label: s.label }))
  if (!person || person.next.length === 0) return all
  return [
    {
      group: `Next for ${person.name.split(' ')[0] ?? ''}`,
      items: all.filter((s) => person.next.includes(s.value)),
    },
    { group: 'All setups', items: all.filter((s) => !person.next.includes(s.value)) },
  ]
}
