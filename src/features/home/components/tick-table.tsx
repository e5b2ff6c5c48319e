'use client'

import { Select } from '@mantine/core'
import { useState } from 'react'
import { TICKS, type Tick } from '@/core/home/home'
import { TICK_WORD } from '@/core/words/home'
import { newId } from '@/device/facts'
import { FormProblem } from '@/ui/form-problem'
import { useSubmit, type Submit } from '../../use-submit'
import { tickByLink, tickFromPaper } from '../actions'
import type { HomeSheetView } from '../queries'
import classes from './home.module.css'

type Ticked = { id: string; drillId: string; day: string; tick: Tick | null }

/** What came back on paper, typed in by the teacher. */
export function PaperTicks({
  studentId,
  sheet,
  today,
}: {
  studentId: string
  sheet: HomeSheetView
  today: string
}) {
  const { send, problemOf, busy } = useSubmit(tickFromPaper)
  return (
    <Ticks {...{ sheet, today, busy }} problem={problemOf('')} onTick={(t) => send({ ...t, studentId })} />
  )
}

/** What somebody says of their own week, on their own phone. */
export function LinkTicks({ token, sheet, today }: { token: string; sheet: HomeSheetView; today: string }) {
  const { send, problemOf, busy } = useSubmit(tickByLink)
  return <Ticks {...{ sheet, today, busy }} problem={problemOf('')} onTick={(t) => send({ ...t, token })} />
}

type Props = {
  sheet: HomeSheetView
  today: string
  busy: Submit<never, never>['busy']
  problem: string | undefined
  onTick: (ticked: Ticked) => Promise<true | null>
}

/** The log of a week: a word for each thing on each day that has come. */
function Ticks({ sheet, today, busy, problem, onTick }: Props) {
  const [ticks, setTicks] = useState(sheet.ticks)
  const set = async (drillId: string, day: string, value: string | null): Promise<void> => {
    const tick = TICKS.find((t) => t === value) ?? null
    // Nothing is shown as kept that is not.
    if ((await onTick({ id: newId(), drillId, day, tick })) === null) return
    setTicks(({ [`${drillId} ${day}`]: _was, ...rest }) =>
      tick === null ? rest : { ...rest, [`${drillId} ${day}`]: tick },
    )
  }
  return (
    <>
      <FormProblem message={problem} />
      <div style={{ overflowX: 'auto' }}>
        <table className={classes.log} aria-label="How it went">
          <thead>
            <tr>
              <th scope="col">What</th>
              {sheet.days.map((d) => (
                <th key={d.day} scope="col">
                  {d.label}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {sheet.items.map((item) => (
              <tr key={item.id}>
                <th scope="row">{item.name}</th>
                {sheet.days.map((d) => (
                  <td key={d.day}>
                    <Select
                      className="no-print"
                      size="sm"
                      comboboxProps={{ width: 160, position: 'bottom-start' }}
                      w={116}
                      aria-label={`${item.name}, ${d.label}`}
                      placeholder={d.day > today ? 'to come' : '–'}
                      disabled={busy || d.day > today}
                      clearable
                      data={TICKS.map((t) => ({ value: t, label: TICK_WORD[t] }))}
                      value={ticks[`${item.id} ${d.day}`] ?? null}
                      onChange={(value) => void set(item.id, d.day, value)}
                    />
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </>
  )
}
