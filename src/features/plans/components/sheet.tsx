import type { PlanView } from '../queries'
import type { VersionView } from '../version-view'
import { PrintButton } from '@/ui/print-button'
import { Apart } from '@/ui/apart'
import { Figure } from '@/ui/figure/figure'
import classes from './sheet.module.css'

/** The class on one page, to pin beside the wall: what happens when, who does what, who is up, room for a result. */
export function Sheet({ plan }: { plan: PlanView }) {
  const people = plan.blocks.find((block) => block.kind === 'skill')?.versions ?? []
  const wall = plan.blocks.find((block) => block.kind === 'waves')
  const atWall = (id: string): VersionView | undefined => wall?.versions.find((v) => v.studentId === id)
  return (
    <article className={classes.sheet}>
      <header className={classes.head}>
        <div>
          <h1>{plan.title}</h1>
          <p>
            {plan.dayLabel}, {plan.startTime} · {plan.minutes} min · fetch {plan.pull}
          </p>
        </div>
        <PrintButton />
      </header>
      <section className={classes.columns}>
        <div>
          <h2>What happens when</h2>
          <table>
            <tbody>
              {plan.blocks.map((block) => (
                <tr key={block.at}>
                  <th scope="row">{block.at}</th>
                  <td>
                    <strong>{block.title}</strong> {block.minutes}
                    {block.dose === '' ? '' : `, ${block.dose}`}
                    {block.items.map(({ line, apart }) => (
                      <div key={line}>
                        {line}
                        <Apart lines={apart} />
                      </div>
                    ))}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
        <div>
          <h2>At the wall</h2>
          <table>
            <thead>
              <tr>
                <th scope="col">At</th>
                {Array.from({ length: plan.bays }, (_, i) => (
                  <th scope="col" key={i}>
                    Bay {i + 1}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {(wall?.turns ?? []).map((turn) => (
                <tr key={turn.at}>
                  <th scope="row">{turn.at}</th>
                  {Array.from({ length: plan.bays }, (_, i) => (
                    <td key={i}>{turn.up.find((place) => place.bay === i + 1)?.name ?? ''}</td>
                  ))}
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      </section>
      <section>
        <h2>Who does what</h2>
        <table className={classes.people}>
          <thead>
            <tr>
              <th scope="col">Name</th>
              <th scope="col">Dolphin</th>
              <th scope="col">Wall</th>
              <th scope="col">Hands and feet</th>
              <th scope="col">Cue</th>
              <th scope="col">Result</th>
            </tr>
          </thead>
          <tbody>
            {people.map((person) => (
              <tr key={person.studentId}>
                <th scope="row">{person.name}</th>
                <td>
                  {person.picture ? <Figure picture={person.picture} height={34} /> : null}
                  {person.stage}
                  {person.dose === '' ? null : <small> {person.dose}</small>}
                </td>
                <AtWall version={atWall(person.studentId)} />
                <td>{person.numbers}</td>
                <td>
                  {person.cue}
                  <strong> {changesOf(person, atWall(person.studentId))}</strong>
                </td>
                <td className={classes.blank} />
              </tr>
            ))}
          </tbody>
        </table>
      </section>
      <footer>
        Stop for sharp pain, tingling, dizziness, pressure in eyes or ears. Rest is always a version. Not
        medical advice; local codes and a clinician’s word come first.
      </footer>
    </article>
  )
}

function AtWall({ version }: { version: VersionView | undefined }) {
  return (
    <td>
      {version?.picture ? <Figure picture={version.picture} height={34} /> : null}
      {version?.stage ?? ''}
    </td>
  )
}

/** How limits change what somebody does, in either part, each once. */
function changesOf(...parts: (VersionView | undefined)[]): string {
  return [...new Set(parts.flatMap((v) => (v && v.changed !== '' ? [v.changed] : [])))].join(' ')
}
