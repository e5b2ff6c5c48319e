import { FLOOR_CHECK } from '@/core/words/floor-check'
import { Figure } from '@/ui/figure/figure'
import { fetches, placeCards, stripsOf } from '../cards-view'
import type { PlanView } from '../plan-queries'
import classes from './plan-cards.module.css'

/** A strip of paper a person, cut along the lines: their own numbers. */
export function Strips({ plan }: { plan: PlanView }) {
  return (
    <ul className={classes.strips}>
      {stripsOf(plan).map((strip) => (
        <li key={strip.name}>
          <h2>{strip.name}</h2>
          <ol>
            {strip.rows.map((row) => (
              <li key={row.at}>
                <span>{row.picture ? <Figure picture={row.picture} height={48} /> : null}</span>
                <div>
                  <strong>
                    {row.at} {row.what}
                  </strong>
                  {row.lines.map((line) => (
                    <div key={line}>{line}</div>
                  ))}
                </div>
              </li>
            ))}
          </ol>
        </li>
      ))}
    </ul>
  )
}

/** A card for each bay: who is there when. It lies in the room, so it tells nothing of anybody's limits. */
export function PlaceCards({ plan }: { plan: PlanView }) {
  const cards = placeCards(plan)
  if (cards.length === 0) return <p>Everybody works on their own mat in this class: no card is needed.</p>
  return (
    <ul className={classes.places}>
      {cards.map((card) => (
        <li key={card.place}>
          <h2>{card.place}</h2>
          <table>
            <tbody>
              {card.rows.map((row) => (
                <tr key={`${row.at}${row.name}`}>
                  <td>{row.picture ? <Figure picture={row.picture} height={40} /> : null}</td>
                  <th scope="row">{row.name}</th>
                  <td>
                    {row.at}
                    {row.wave === '' ? '' : `, ${row.wave}`}: {row.what}
                    {row.props === '' ? '' : ` · ${row.props}`}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </li>
      ))}
    </ul>
  )
}

/** What to fetch and what to look at before anybody goes up, each with a box to tick. */
export function FetchAndCheck({ plan }: { plan: PlanView }) {
  return (
    <div className={classes.check}>
      <h2>Fetch for the whole class: {plan.pull || 'nothing'}</h2>
      {fetches(plan).map((part) => (
        <section key={part.at}>
          <h3>
            {part.at} {part.title}
          </h3>
          <ul>
            {part.lines.map((line) => (
              <li key={line}>{line}</li>
            ))}
          </ul>
        </section>
      ))}
      <h2>Wall and props, before the first person goes up</h2>
      <ul>
        {FLOOR_CHECK.map(({ id, label, ask }) => (
          <li key={id}>
            <strong>{label}</strong>: {ask}
          </li>
        ))}
      </ul>
      <p>
        A rig is built in order: props, then pressed with both hands, then the person. Local codes come first.
      </p>
    </div>
  )
}
