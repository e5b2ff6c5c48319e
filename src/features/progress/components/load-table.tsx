import { Text } from '@mantine/core'
import rows from '@/ui/rows.module.css'
import { Section } from '@/ui/section'
import type { PersonProgress } from '../person-queries'

/** What each week asked: tries and minutes of hard work by joint, and where it grew too fast. */
export function LoadTable({ weeks, joints, tooSoon }: Pick<PersonProgress, 'weeks' | 'joints' | 'tooSoon'>) {
  const grew = weeks.at(-1)?.grew ?? ''
  return (
    <Section title="Load by week" className="card">
      {grew === '' ? null : <Text fw={600}>{grew}</Text>}
      {tooSoon.length === 0 ? null : (
        <Text>
          Hard for the arms two days running, up to {tooSoon.join(' and ')}: leave 48 hours between.
        </Text>
      )}
      <div className={rows.scroll}>
        <table className={rows.rows}>
          <thead>
            <tr>
              <th scope="col">Week of</th>
              <th scope="col">Tries</th>
              {joints.map((joint) => (
                <th scope="col" key={joint} style={{ textTransform: 'capitalize' }}>
                  {joint}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {weeks.map((w) => (
              <tr key={w.label} title={w.grew === '' ? undefined : w.grew}>
                <td>{w.label}</td>
                <td>{w.tries}</td>
                {w.joints.map((m, i) => (
                  <td key={joints[i]}>{m}</td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <Text size="sm" c="dimmed">
        Seconds as they were recorded; a clean try without seconds counts its usual dose.
      </Text>
    </Section>
  )
}
