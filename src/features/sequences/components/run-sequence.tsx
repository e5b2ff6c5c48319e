'use client'

import { Button, Group, Progress, Stack, Text } from '@mantine/core'
import { useCallback, useEffect, useState } from 'react'
import { formatClock } from '@/core/units'
import { useRecord } from '@/device/use-log'
import { useStopwatch } from '@/device/use-stopwatch'
import { saidOfPart } from '@/core/words/dose-part'
import type { SequenceItemView, SequenceView } from '../queries'

type Step = { readonly item: SequenceItemView; readonly said: string; readonly seconds: number | null }

/** A sequence run from end to end: holds and rests by the clock, repetitions by a tap; what is closed today is passed over. */
export function RunSequence({ view }: { view: SequenceView }) {
  const steps = stepsOf(view)
  const [at, setAt] = useState<number | null>(null)
  const { seconds, start, reset } = useStopwatch()
  const step = at === null ? undefined : steps[at]
  const go = useCallback(
    (next: number): void => {
      setAt(next)
      if (next < steps.length) start()
      else reset()
    },
    [steps.length, start, reset],
  )
  const last = step?.seconds ?? null
  useEffect(() => {
    if (at === null || last === null) return
    const timer = setTimeout(() => go(at + 1), last * 1000)
    return () => clearTimeout(timer)
  }, [at, last, go])
  if (steps.length === 0) return <Text>Nothing of it is open today.</Text>
  if (at === null || !step) return <Idle view={view} over={at !== null} onRun={() => go(0)} />
  const left = step.seconds === null ? null : Math.max(0, step.seconds - seconds)
  return (
    <Stack gap="xs" className="no-print card" role="group" aria-label="Running">
      <Text c="dimmed">{step.item.partWord}</Text>
      <Text fz={28} fw={650} aria-live="polite">
        {step.item.name}
      </Text>
      <Text fz="lg">
        {step.said}
        {step.item.lookFor === '' ? '' : ` ${step.item.lookFor}`}
      </Text>
      {left === null ? null : (
        <Text fz={64} fw={650} lh={1} role="timer" aria-label="Time left in this part">
          {formatClock(Math.ceil(left))}
        </Text>
      )}
      <Progress
        value={(100 * (at + 1)) / steps.length}
        transitionDuration={0}
        aria-label="How far through the sequence"
      />
      <Group>
        <Button variant="filled" size="lg" mih={56} onClick={() => go(at + 1)}>
          {left === null ? 'Done' : 'Next'}
        </Button>
        <Button size="lg" mih={56} disabled={at === 0} onClick={() => go(at - 1)}>
          Back
        </Button>
        <Button size="lg" mih={56} onClick={() => go(steps.length)}>
          Stop
        </Button>
        <Text c="dimmed">
          After it: {steps.slice(at).find((s) => s.item !== step.item)?.item.name ?? 'over'}
        </Text>
      </Group>
    </Stack>
  )
}

/** Before it runs, and after it: then one tap writes down that they did it. */
function Idle({ view, over, onRun }: { view: SequenceView; over: boolean; onRun: () => void }) {
  const [told, setTold] = useState(false)
  const [telling, setTelling] = useState(false)
  const { tell, failed } = useRecord()
  const writeDown = async (): Promise<void> => {
    setTelling(true)
    let all = true
    for (const draft of doneBy(view)) all = (await tell(draft, `${view.name}: drill done`)) && all
    setTelling(false)
    setTold(all)
  }
  return (
    <Stack gap="xs" className="no-print">
      <Group>
        <Button variant="filled" size="lg" mih={56} onClick={onRun}>
          {over ? 'Once more' : 'Run it'}
        </Button>
        {over && !told ? (
          <Button size="lg" mih={56} loading={telling} onClick={() => void writeDown()}>
            Write down that they did it
          </Button>
        ) : null}
      </Group>
      <Text role="status">
        {told ? 'Written down for each of them.' : over ? 'Done. Rest as long as it is good.' : ''}
      </Text>
      {failed === '' ? null : <Text role="alert">{failed}</Text>}
    </Stack>
  )
}

function stepsOf({ items }: SequenceView): Step[] {
  return items
    .filter((item) => item.closed === '')
    .flatMap((item) =>
      item.parts.map((part): Step => ({
        item,
        said: item.sets === null ? item.how : saidOfPart(part),
        seconds: part.kind === 'reps' ? null : part.seconds,
      })),
    )
}

/** What is worked at is a drill done by each of them; how much of it nobody counted. */
function doneBy({ items, people }: SequenceView) {
  return items
    .filter((i) => i.sets !== null && i.closed === '')
    .flatMap(({ drillId }) =>
      people.map(
        ({ id }) =>
          ({ kind: 'drill', studentId: id, drillId, classId: null, amount: null, replaces: null }) as const,
      ),
    )
}
