import { Group, Text } from '@mantine/core'
import { Figure } from '@/ui/figure/figure'
import type { DoingView } from '../doing-view'
import type { PlanView } from '../plan-queries'
import { ByBlock } from './by-block'

/** The same hour person by person: what each does in every block, why, and how fresh their arms are by then. */
export function PlanPeople({ plan }: { plan: PlanView }) {
  const works = plan.blocks.filter((b) => b.doings.length > 0)
  return (
    <>
      {plan.bestMinute === '' ? null : <Text mb="xs">{plan.bestMinute}</Text>}
      <ByBlock
        label="Person by person"
        minWidth={760}
        of="Name"
        works={works}
        rows={(works[0]?.doings ?? []).map(({ studentId, name }) => ({
          key: studentId,
          name,
          cell: (b) => (
            <Cell
              doing={b.doings.find((d) => d.studentId === studentId)}
              percent={plan.freshness[studentId]?.find((a) => a.purpose === b.purpose)?.percent ?? 100}
            />
          ),
        }))}
      />
    </>
  )
}

/** The way of a climb as figures: what is passed small, what is worked at large, what may come after it small again. */
function Way({ doing }: { doing: DoingView }) {
  return (
    <Group gap={4} align="flex-end" wrap="nowrap" role="group" aria-label={`The way to ${doing.what}`}>
      {doing.way.map(({ name, picture }) =>
        picture ? (
          <Figure key={name} picture={picture} height={name === doing.what ? 48 : 30} label={name} />
        ) : null,
      )}
    </Group>
  )
}

function Cell({ doing, percent }: { doing: DoingView | undefined; percent: number }) {
  if (!doing) return null
  return (
    <>
      {doing.way.length > 0 ? (
        <Way doing={doing} />
      ) : doing.picture ? (
        <Figure picture={doing.picture} height={48} />
      ) : null}
      <Text fw={600}>{doing.what}</Text>
      <Text size="sm">
        {[doing.place, doing.climb, doing.dose, doing.changed].filter((t) => t !== '').join(' · ')}
      </Text>
      {doing.then === '' ? null : <Text size="sm">{doing.then}</Text>}
      <Text size="sm">{doing.why}</Text>
      {doing.hope === '' ? null : (
        <Text size="sm" fs="italic">
          {doing.hope}
        </Text>
      )}
      <Text size="sm" c="dimmed">
        Arms {percent} % fresh
      </Text>
    </>
  )
}
