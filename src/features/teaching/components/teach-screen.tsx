'use client'

import { Button, Stack, Text } from '@mantine/core'
import { useHotkeys } from '@mantine/hooks'
import { Link } from '@/ui/link'
import { memo, useCallback, useMemo } from 'react'
import { stoppedBy } from '@/core/teaching/outcome'
import { isWork, type PlanBlock } from '@/core/classes/plan'
import { blockClock, isPaused } from '@/core/classes/run'
import { breathingAt } from '@/core/teaching/breath'
import { beforeTurn } from '@/core/teaching/climb'
import { catchUp, lateBy } from '@/core/teaching/catch-up'
import { momentOf, type Moment } from '@/core/teaching/class-run'
import { giveWords, lateWords } from '@/core/words/late'
import { useLive } from '@/device/use-live'
import { useKept } from '@/device/use-log'
import { PART_DO } from '@/core/words/plan'
import { hearOnFloor } from '../hear'
import { teachAgain } from '../live-actions'
import type { TeachData, TeachPerson } from '../queries'
import { BeforeClass } from './before-class'
import { Breath, ClassClock, ClockHands } from './class-clock'
import { ClassFoot, goOn } from './class-foot'
import { EverybodyDid } from './drill-tap'
import { FreePlaces, Together, Waiting } from './meanwhile'
import { PersonStrip } from './person-strip'
import { isCut, Phase } from './phase'
import classes from './teach-screen.module.css'
import { useAwake } from './use-awake'
import { useBell } from './use-bell'
import { useClassRun } from './use-class-run'
import { useNow } from './use-now'
import { owedNow, WarmsUpFirst } from './warms-up-first'
import type { StageBrief } from '../stage-brief'
import { cleanMark, doingIn, stillGoing, turnsAt, upIn } from './whose-turn'
import { Notice } from '@/ui/notice'

/** The class on the floor: before it, while it runs, and over. */
export function TeachScreen({ data: given }: { data: TeachData }) {
  const data = useLive(
    given.classId,
    given,
    async () => {
      const again = await teachAgain({ classId: given.classId })
      return again.ok ? again.value : null
    },
    hearOnFloor,
  )
  const taught = useClassRun(data)
  const { run, plan, happen } = taught
  if (run.state === 'not-started')
    return (
      <BeforeClass
        classId={data.classId}
        people={data.people.length}
        minutes={plan.minutes}
        first={data.titles[0]?.toLowerCase() ?? ''}
        onStart={() => happen('started', 0)}
      />
    )
  if (run.state === 'ended')
    return (
      <Stack align="flex-start">
        <Text fz="xl">The class is over.</Text>
        <Button variant="filled" size="xl" mih={64} component={Link} href={`/teach/${data.classId}/after`}>
          See what changed
        </Button>
      </Stack>
    )
  return <Running data={data} taught={taught} />
}

type Taught = ReturnType<typeof useClassRun>

/** Who is up, the same list from tick to tick while nothing changes. */
function useUp(
  block: PlanBlock | undefined,
  index: number | undefined,
  going: readonly TeachPerson[],
): readonly TeachPerson[] {
  return useMemo(() => {
    const [turn] = turnsAt(block, index)
    return turn ? upIn(turn, going) : []
  }, [block, index, going])
}

/** What everybody does in the turn that is on, by what was seen before it. */
function useDoing(
  data: TeachData,
  { run, plan, recorded }: Pick<Taught, 'run' | 'plan' | 'recorded'>,
  index: number,
): Readonly<Record<string, StageBrief>> {
  return useMemo(() => {
    const at = run.blockIndex
    const block = plan.blocks[at]
    if (!block || !isWork(block)) return data.work[at] ?? {}
    return doingIn(data, at, Math.floor(index / block.waves), beforeTurn(run, block, index, recorded))
  }, [data, run, plan, recorded, index])
}

/** One timer, whose turn it is, and a tap for what came of it. */
function Running({ data, taught }: { data: TeachData; taught: Taught }) {
  const { titles } = data
  const { run, plan, recorded, failed, happen, mark } = taught
  const at = run.blockIndex
  const block = plan.blocks[at]
  const now = useNow(true)
  const clock = now === 0 ? { elapsedS: 0, extraS: 0 } : blockClock(run, now)
  const moment = momentOf(plan, at, clock.elapsedS)
  // What gave everything so that the class ends in time is passed over.
  const next = plan.blocks.findIndex((b, i) => i > at && b.seconds > 0)
  const going = useMemo(() => stillGoing(data.people, recorded), [data.people, recorded])
  const doing = useDoing(data, taught, moment.turn?.index ?? 0)
  const up = useUp(block, moment.turn?.index, going)
  const paused = isPaused(run)
  const [{ counted }, keepCounted] = useKept('breath', { counted: false })
  const breathing = counted && block && isWork(block) ? breathingAt(block, moment, data.breathS) : null
  const onCounted = useCallback((on: boolean) => keepCounted({ counted: on }), [keepCounted])
  useHotkeys([
    ['n', () => goOn(happen, at, next)],
    ['p', () => happen(paused ? 'resumed' : 'paused', at)],
    ...Array.from({ length: 9 }, (_, i): [string, () => void] => [
      String(i + 1),
      () => {
        const person = up[i]
        const stage = person ? doing[person.id] : undefined
        if (person && stage?.taps) void mark(cleanMark(person.id, stage))
      },
    ]),
  ])
  return (
    <Stack gap="md">
      <ClassClock
        title={titles[at] ?? ''}
        part={`Block ${at + 1} of ${plan.blocks.length}${paused ? ', paused' : ''}`}
        leftS={(moment.turn ? moment.turn.leftS : moment.leftS) + clock.extraS}
        through={block ? clock.elapsedS / block.seconds : 0}
        paused={paused}
      />
      <Phase block={block} moment={moment} going={going} cut={isCut(data.plan.blocks[at], block)} />
      <Before {...{ taught, block, going, doing }} people={data.people} index={moment.turn?.index ?? null} />
      {breathing ? <Breath {...breathing} /> : null}
      <Doing {...{ data, taught, block, up, doing }} />
      {failed === '' ? null : <Notice title={failed} />}
      <Hands {...{ data, taught, now, moment, counted, onCounted }} breath={breathing?.breath ?? null} />
      <ClassFoot {...{ at, next, paused, happen }} title={titles[next] ?? ''} lines={data.emergency} />
    </Stack>
  )
}

// The clock ticks four times a second: nothing below it is drawn again by a tick unless what it shows has changed, since on
// a slow tablet a tap waits for whatever is being drawn.

/** Who may go up in a free place, and who warms up first. */
const Before = memo(function Before({
  people,
  taught,
  block,
  going,
  doing,
  index,
}: Omit<DoingProps, 'up' | 'data'> & {
  people: readonly TeachPerson[]
  going: readonly TeachPerson[]
  index: number | null
}) {
  const at = taught.run.blockIndex
  return (
    <>
      {block && isWork(block) && index !== null ? (
        <FreePlaces
          {...{ block, index, people, going, doing }}
          owing={(p) => owedNow(p, at, taught.drilled).length > 0}
        />
      ) : null}
      {going.map((person) => (
        <WarmsUpFirst key={person.id} person={person} blockIndex={at} drilling={taught} />
      ))}
    </>
  )
})

type DoingProps = {
  data: TeachData
  taught: Taught
  block: PlanBlock | undefined
  up: readonly TeachPerson[]
  doing: Readonly<Record<string, StageBrief>>
}

/** What people do: together, or each their own with a tap for what came of it. Not drawn again by the ticking clock. */
const Doing = memo(function Doing({ data, taught, block, up, doing }: DoingProps) {
  const { recorded, mark, undo } = taught
  if (!block) return null
  if (!isWork(block))
    return (
      <>
        <Text fz="xl">{PART_DO[block.kind] ?? ''}</Text>
        <Together items={block.items} data={data} />
      </>
    )
  const inTurns = block.waves > 1
  return (
    <>
      <EverybodyDid people={data.people} doing={doing} drilling={taught} recorded={recorded} />
      <div className={classes.strips}>
        {(inTurns ? up : data.people).map((person) => {
          const stage = doing[person.id]
          return stage ? (
            <PersonStrip
              key={person.id}
              classId={data.classId}
              {...{ person, stage }}
              recorded={recorded.filter((r) => r.studentId === person.id)}
              onMark={mark}
              onUndo={undo}
              drilling={{ ...taught, drilled: taught.drilled.filter((d) => d.studentId === person.id) }}
            />
          ) : null
        })}
      </div>
      <Waiting
        people={data.people.filter((p) => (inTurns ? !up.includes(p) : hasStopped(recorded, p)))}
        doing={doing}
        recorded={recorded}
      />
    </>
  )
})

/** Whoever stopped is told what instead, whether others go on in turns or all at once. */
function hasStopped(recorded: TeachData['recorded'], { id }: TeachPerson): boolean {
  return stoppedBy(recorded.filter((r) => r.studentId === id)) !== null
}

/** Hands on the clock, the bell, and what gives when the class runs late. */
function Hands({
  data: { titles },
  taught: { run, plan, gives, happen },
  now,
  moment,
  counted,
  breath,
  onCounted,
}: {
  data: TeachData
  taught: Taught
  now: number
  moment: Moment
  counted: boolean
  breath: number | null
  onCounted: (on: boolean) => void
}) {
  const at = run.blockIndex
  const awake = useAwake(true)
  const { loudness, setLoudness } = useBell(
    moment.turn ? `${at} ${moment.turn.index} ${moment.turn.phase}` : '',
    breath,
  )
  const lateS = now === 0 ? 0 : lateBy(plan, run, now)
  const late = lateWords(lateS)
  const said = (list: typeof gives): string[] => list.map((g) => giveWords(titles[g.blockIndex] ?? '', g))
  return (
    <>
      <ClockHands
        {...{ loudness, setLoudness, late, counted, onCounted, at, happen }}
        gives={late === '' ? '' : said(catchUp(plan, at, lateS).gives).join('; ')}
      />
      {gives.length > 0 ? <Text c="dimmed">Shortened: {said(gives).join('; ')}.</Text> : null}
      {awake ? null : <Text c="dimmed">This screen may go dark by itself here: keep it lit by hand.</Text>}
    </>
  )
}
