import { Group } from '@mantine/core'
import { SHEET_FOOT } from '@/core/words/floor-check'
import { Apart } from '@/ui/apart'
import { Figure } from '@/ui/figure/figure'
import { PrintButton } from '@/ui/print-button'
import type { DoingView } from '../doing-view'
import type { BlockView, PlanView } from '../plan-queries'
import { doingLine, waveLines } from '../sheet-lines'
import { PlanFiles } from './plan-files'
import classes from './sheet.module.css'

/** The class on two pages: what happens when with its waves; who does what, with own numbers and room for a result. */
export function Sheet({ plan }: { plan: PlanView }) {
  const works = plan.blocks.filter((b) => b.doings.length > 0)
  return (
    <article className={classes.sheet}>
      <header className={classes.head}>
        <div>
          <h1>{plan.title}</h1>
          <p>
            {plan.aim} · {plan.dayLabel}, {plan.startTime} · {plan.minutes} min · fetch {plan.pull}
          </p>
        </div>
        <Group gap="sm">
          <PlanFiles classId={plan.id} name={`${plan.title}, ${plan.dayLabel}`} />
          <PrintButton />
        </Group>
      </header>
      <section>
        <h2>What happens when</h2>
        <table>
          <tbody>
            {plan.blocks.map((block) => (
              <Line key={block.at + block.kind} block={block} />
            ))}
          </tbody>
        </table>
      </section>
      <section className={classes.second}>
        <h2>Who does what</h2>
        <table className={classes.people}>
          <thead>
            <tr>
              <th scope="col">Name</th>
              {works.map((b) => (
                <th scope="col" key={b.purpose}>
                  {b.word} <small>{b.at}</small>
                </th>
              ))}
              <th scope="col">Result</th>
            </tr>
          </thead>
          <tbody>
            {(works[0]?.doings ?? []).map(({ studentId, name }) => (
              <tr key={studentId}>
                <th scope="row">{name}</th>
                {works.map((b) => (
                  <Cell key={b.purpose} block={b} doing={b.doings.find((d) => d.studentId === studentId)} />
                ))}
                <td className={classes.blank} />
              </tr>
            ))}
          </tbody>
        </table>
      </section>
      <footer>
        {plan.ifLate.map((line) => (
          <div key={line}>{line}</div>
        ))}
        {SHEET_FOOT}
      </footer>
    </article>
  )
}

function Line({ block }: { block: BlockView }) {
  return (
    <tr>
      <th scope="row">{block.at}</th>
      <td>
        <strong>{block.title}</strong> {block.minutes}
        {block.run === '' ? '' : `, ${block.run}`}
        {block.say === '' ? '' : `. ${block.say}`}
        {block.items.map(({ id, line, apart }) => (
          <div key={id}>
            {line}
            <Apart lines={apart} />
          </div>
        ))}
        {block.lanes.map((lane) => (
          <div key={lane.id ?? 'rest'}>
            <em>{lane.label}</em>: {lane.people.map((d) => d.name).join(', ')}
            {lane.cue === '' ? '' : ` – ${lane.cue}`}
          </div>
        ))}
        {waveLines(block).map(({ wave, text }) => (
          <div key={wave}>
            Wave {wave}: {text}
          </div>
        ))}
      </td>
    </tr>
  )
}

function Cell({ block, doing }: { block: BlockView; doing: DoingView | undefined }) {
  if (!doing) return <td />
  return (
    <td>
      {doing.picture ? (
        <span className={classes.drawn}>
          <Figure picture={doing.picture} height={26} />
        </span>
      ) : null}
      <div>{doing.what}</div>
      <small>
        {doingLine(block, doing)}
        <strong> {doing.changed}</strong>
      </small>
    </td>
  )
}
