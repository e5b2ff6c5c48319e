'use client'

import { Button, Group, Stack, Text } from '@mantine/core'
import { memo } from 'react'
import { stoppedBy } from '@/core/teaching/outcome'
import { describeAfter, describeStopped, describeTaps, describeTouch } from '@/core/words/floor'
import { Figure } from '@/ui/figure/figure'
import { TextLink } from '@/ui/text-link'
import type { Recorded, TeachPerson } from '../queries'
import type { StageBrief } from '../stage-brief'
import { DrillTap } from './drill-tap'
import { Rig } from './rig'
import { BIG, Taps } from './taps'
import type { NewAttempt } from '@/core/facts/attempt'
import type { Drilling } from './use-class-run'

type Props = {
  classId: string
  person: TeachPerson
  stage: StageBrief
  /** Their own only. */
  recorded: readonly Recorded[]
  onMark: (tried: NewAttempt) => Promise<boolean>
  onUndo: (last: Recorded) => void
  drilling: Drilling
}

/** Drawn again only when something of theirs changed: a tap for one of twelve must not draw the others. */
export const PersonStrip = memo(Strip, isSame)

function isSame(a: Props, b: Props): boolean {
  const ids = (list: readonly { readonly id: string }[]): string => list.map((one) => one.id).join()
  return (
    a.person === b.person &&
    a.stage === b.stage &&
    a.onMark === b.onMark &&
    a.onUndo === b.onUndo &&
    a.drilling.drill === b.drilling.drill &&
    ids(a.recorded) === ids(b.recorded) &&
    ids(a.drilling.drilled) === ids(b.drilling.drilled)
  )
}

/** One person: what they do, and large taps for what came of it. */
function Strip({ classId, person, stage, recorded, onMark, onUndo, drilling }: Props) {
  const mine = recorded.filter((r) => stage.way.includes(r.stageId))
  const last = mine.at(-1)
  const stopped = stoppedBy(recorded)
  const after = last ? describeAfter(last, stage.exit) : ''
  const undo = last ? (
    <Button
      {...BIG}
      variant="subtle"
      c="var(--ink)"
      onClick={() => onUndo(last)}
      aria-label={`${person.name}: undo the last tap`}
    >
      Undo
    </Button>
  ) : null
  return (
    <section className="card" aria-label={person.name}>
      <Stack gap="xs">
        <Group justify="space-between" wrap="nowrap" align="flex-start">
          <div>
            <Text fz={24} fw={650} lh={1.2}>
              {stage.place === '' ? '' : `${capital(stage.place)} · `}
              {person.name}
            </Text>
            {stopped === null ? <Version stage={stage} /> : <Text fw={600}>{describeStopped(stopped)}</Text>}
            {person.touch === 'no' ? <Text fw={650}>{describeTouch(person.touch)}</Text> : null}
            {person.note === '' ? null : <Text size="sm">Last word: {person.note}.</Text>}
            {person.limits.length === 0 ? null : (
              <Text size="sm">Leaves out {person.limits.join(', ')}.</Text>
            )}
          </div>
          <div style={{ flex: 'none' }}>
            {stage.picture && stopped === null ? <Figure picture={stage.picture} height={88} /> : null}
            <Text role="status" ta="right">
              {describeTaps(mine, stage.id)}
            </Text>
          </div>
        </Group>
        {after === '' ? null : (
          <Text role="note" fw={600}>
            {after}{' '}
            {last && !last.exitControlled ? (
              <TextLink href="/studio/incidents">Write a report</TextLink>
            ) : null}
          </Text>
        )}
        {stage.drill !== null && stopped === null ? (
          <Rig {...{ classId, person, stage }}>
            <DrillTap {...{ person, stage, drilling }} />
          </Rig>
        ) : null}
        {!stage.taps ? null : stopped !== null ? (
          <Group>{undo}</Group>
        ) : (
          <Rig {...{ classId, person, stage }}>
            <Taps key={stage.id} {...{ classId, person, stage, undo, onMark }} />
          </Rig>
        )}
      </Stack>
    </section>
  )
}

/** What they do, how much of it, where hands and props go, and who stands beside. */
function Version({ stage }: Pick<Props, 'stage'>) {
  return (
    <>
      <Text>
        {stage.name}
        {stage.cue === '' ? null : (
          <>
            . <em>{stage.cue}</em>
          </>
        )}
      </Text>
      {stage.dose === '' ? null : <Text size="sm">{stage.dose}</Text>}
      {stage.numbers === '' ? null : <Text size="sm">{stage.numbers}</Text>}
      {stage.props === '' ? null : <Text size="sm">Props: {stage.props}.</Text>}
      {stage.helper === '' ? null : <Text fw={600}>With {stage.helper} beside.</Text>}
      {stage.change === '' ? null : <Text fw={600}>{stage.change}</Text>}
      {stage.then === '' ? null : <Text size="sm">{stage.then}</Text>}
      {stage.hope === '' ? null : <Text size="sm">{stage.hope}</Text>}
    </>
  )
}

function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1)
}
