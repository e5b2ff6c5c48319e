import type { Recap } from '../wrap-queries'
import classes from './wrap-up.module.css'

/** What each takes home: what they did, their own numbers, two things to repeat. */
export function RecapCards({ recap }: { recap: Recap }) {
  return (
    <ul className={classes.recap}>
      {recap.people.map((person) => (
        <li key={person.id}>
          <h2>{person.name}</h2>
          {person.did.length === 0 ? (
            <p>Nothing was written down of this class.</p>
          ) : (
            <>
              <h3>You did</h3>
              <ul>
                {person.did.map(({ what, came, numbers }) => (
                  <li key={what}>
                    {what}
                    {came === '' ? '' : `: ${came}`}
                    {numbers === '' ? null : <div>Your numbers: {numbers}</div>}
                  </li>
                ))}
              </ul>
            </>
          )}
          {person.rests ? <p>Rest for now. Nothing to repeat until we have talked.</p> : null}
          {person.repeat.length === 0 ? null : (
            <>
              <h3>To repeat at home, on the floor</h3>
              <ul>
                {person.repeat.map(({ what, how }) => (
                  <li key={what}>
                    {what}: {how}
                  </li>
                ))}
              </ul>
            </>
          )}
          <p>
            Stop for sharp pain, tingling, dizziness, pressure in eyes or ears. Nothing upside down alone.
          </p>
        </li>
      ))}
    </ul>
  )
}
