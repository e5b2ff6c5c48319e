import { Text } from '@mantine/core'
import { isWork, type PlanBlock } from '@/core/classes/plan'
import type { Moment } from '@/core/teaching/class-run'
import { firstNames } from '@/core/words/first-names'
import { count, list } from '@/core/words/number'
import type { TeachPerson } from '../queries'
import { Stays } from './stays'
import { turnsAt, upIn } from './whose-turn'

const PHASE_WORD = { ready: 'Fetch and build', up: 'Up now', change: 'Change over' } as const

/** What the turn is at, and who is next. */
export function Phase({
  block,
  moment,
  going,
  cut,
}: {
  block: PlanBlock | undefined
  moment: Moment
  going: readonly TeachPerson[]
  /** Whether it has fewer sets than were planned: the doses beside the names are of the plan. */
  cut: boolean
}) {
  const { turn } = moment
  if (!turn || !block || !isWork(block)) return null
  const [now, next] = turnsAt(block, turn.index)
  const inTurns = block.waves > 1
  const called = firstNames(going.map((p) => p.name))
  const names = next && inTurns ? upIn(next, going).map((p) => called(p.name)) : []
  const nameOf = (id: string): string => called(going.find((p) => p.id === id)?.name ?? '')
  return (
    <>
      <div aria-live="polite">
        <Text fz={{ base: 22, sm: 28 }} fw={600} span>
          {PHASE_WORD[turn.phase]}
          {block.sets > 1 && now ? `, set ${now.set} of ${block.sets}` : ''}
          {next ? '' : ', last turn'}
        </Text>
        {cut ? (
          <Text fw={600}>
            {block.kind === 'stay'
              ? 'Shortened: everybody comes out sooner.'
              : `Shortened to ${count(block.sets, 'set')}: fewer turns for everybody.`}
          </Text>
        ) : null}
        {names.length > 0 ? <Text fz={{ base: 16, sm: 20 }}>After them: {list(names)}</Text> : null}
      </div>
      <Stays {...{ block, moment, nameOf }} turn={now} size={{ base: 20, sm: 26 }} />
    </>
  )
}

/** Whether a block has fewer sets than were planned, or is stayed in for less. */
export function isCut(planned: PlanBlock | undefined, now: PlanBlock | undefined): boolean {
  return (
    !!planned &&
    !!now &&
    isWork(planned) &&
    isWork(now) &&
    (now.sets < planned.sets || now.workS < planned.workS)
  )
}
