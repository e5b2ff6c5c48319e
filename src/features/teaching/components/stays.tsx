import { Text } from '@mantine/core'
import { isWork, type PlanBlock, type Turn } from '@/core/classes/plan'
import type { Moment } from '@/core/teaching/class-run'
import { dueOut, stayingIn } from '@/core/teaching/stays'
import { formatClock } from '@/core/units'
import { list } from '@/core/words/number'

type Props = {
  block: PlanBlock | undefined
  /** The turn that is on. */
  turn: Turn | undefined
  moment: Moment
  nameOf: (studentId: string) => string
  size: { base: number; sm: number }
}

/** Each stay counted down: who comes out now, and who after them; nothing where nobody stays in anything. */
export function Stays({ block, turn, moment, nameOf, size }: Props) {
  if (!block || !isWork(block) || !turn || moment.turn?.phase !== 'up') return null
  const named = turn.up.filter(({ studentId }) => nameOf(studentId) !== '')
  const { out, still } = dueOut(stayingIn(block, named, moment.turn.leftS))
  if (out.length + still.length === 0) return null
  return (
    <>
      <div role="status">
        {out.length === 0 ? null : (
          <Text fz={size} fw={700}>
            Out now, by the steps, and lie flat: {list(out.map((s) => nameOf(s.studentId)))}
          </Text>
        )}
      </div>
      {still.length === 0 ? null : (
        <Text fz={size} style={{ fontVariantNumeric: 'tabular-nums' }}>
          {still.map((s) => `${nameOf(s.studentId)} ${formatClock(Math.ceil(s.leftS))}`).join(' · ')}
        </Text>
      )}
    </>
  )
}
