'use client'

import { Button, Group, Progress, SegmentedControl, Switch, Text, Title } from '@mantine/core'
import { memo } from 'react'
import type { Breathing } from '@/core/teaching/breath'
import { formatClock } from '@/core/units'
import classes from './teach-screen.module.css'
import { LOUDNESS } from './use-bell'

type ClockProps = { title: string; part: string; leftS: number; through: number; paused: boolean }

/** What is on and how long it still is, in sight while the people scroll. */
export function ClassClock({ title, part, leftS, through, paused }: ClockProps) {
  return (
    <div className={classes.clock}>
      <Group justify="space-between" align="flex-end" wrap="nowrap">
        <div>
          <Text c="dimmed">{part}</Text>
          <Title order={2} fz={{ base: 26, sm: 34 }}>
            {title}
          </Title>
        </div>
        <Text
          fz={{ base: 44, sm: 72 }}
          fw={650}
          lh={1}
          role="timer"
          aria-label={paused ? 'Time left in this block, paused' : 'Time left in this block'}
          style={{ fontVariantNumeric: 'tabular-nums' }}
        >
          {formatClock(leftS)}
        </Text>
      </Group>
      {/* In whole hundredths, without a transition: on a slow tablet every frame of one holds up a tap. */}
      <Progress
        value={Math.min(100, Math.floor(through * 100))}
        transitionDuration={0}
        aria-label="How far through this block"
      />
    </div>
  )
}

/** The group's breath while people are up, to be followed out of the corner of an eye. */
export function Breath({ breath, of, half, halfS }: Breathing) {
  return (
    <Group gap="sm" wrap="nowrap">
      <div
        className={classes.breath}
        data-half={half}
        style={{ transitionDuration: `${halfS}s` }}
        aria-hidden
      />
      <Text fz={{ base: 20, sm: 26 }} fw={600}>
        Breath {breath} of {of}, {half}
      </Text>
    </Group>
  )
}

type HandsProps = {
  counted: boolean
  onCounted: (on: boolean) => void
  loudness: string
  setLoudness: (value: string) => void
  /** Empty while the class keeps its time. */
  late: string
  /** What gives for it, in a line; empty where nothing is left to. */
  gives: string
  at: number
  happen: (event: 'block' | 'late', blockIndex: number) => void
}

/** What is set once in a while: a block back, the bell, breaths; and what gives when the class runs late. */
export const ClockHands = memo(function ClockHands({
  loudness,
  setLoudness,
  late,
  gives,
  counted,
  onCounted,
  at,
  happen,
}: HandsProps) {
  return (
    <>
      <Group gap="sm">
        {at > 0 ? (
          <Button size="md" mih={48} onClick={() => happen('block', at - 1)}>
            Back a block
          </Button>
        ) : null}
        <SegmentedControl
          aria-label="Bell at each change of turns"
          data={[...LOUDNESS]}
          value={loudness}
          onChange={setLoudness}
          size="md"
        />
        <Switch
          label="Count breaths"
          size="md"
          checked={counted}
          onChange={(e) => onCounted(e.currentTarget.checked)}
        />
      </Group>
      {late === '' ? null : (
        <div role="status" className={classes.late}>
          <Text fw={650}>{late}.</Text>
          {gives !== '' ? (
            <>
              <Text>To end in time: {gives}. Rest keeps its five minutes.</Text>
              <Button size="md" mih={48} mt="xs" onClick={() => happen('late', at)}>
                Shorten it so
              </Button>
            </>
          ) : (
            <Text>Nothing is left to shorten: end a little later, or say so.</Text>
          )}
        </div>
      )}
    </>
  )
})
