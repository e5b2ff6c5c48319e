import { formatStature, type LengthUnit } from '@/core/units'
import { count } from '@/core/words/number'
import { StatusMark } from '@/ui/status-mark'
import table from '@/ui/rows.module.css'
import { TextLink } from '@/ui/text-link'
import type { WorkedOut } from '../queries'
import classes from './student-table.module.css'

export type StudentRow = {
  id: string
  name: string
  statureCm: number | null
  measuredCount: number
  screening: string
} & Pick<WorkedOut, 'nearest' | 'closed' | 'lastSeen' | 'tape'>

/** How many lengths were measured, and which would tell most next. */
function taped({ measuredCount, tape }: StudentRow): string {
  return [
    measuredCount === 0 ? '' : `${count(measuredCount, 'length')} measured`,
    tape === '' ? '' : `next: ${tape}`,
  ]
    .filter((said) => said !== '')
    .join(', ')
}

/** Everybody, one a line. */
export function StudentTable({
  rows,
  units,
  caption,
}: {
  rows: readonly StudentRow[]
  units: LengthUnit
  caption: string
}) {
  if (rows.length === 0) return null
  return (
    <div className={table.scroll}>
      <table className={table.rows} style={{ minWidth: 720 }}>
        <caption>{caption}</caption>
        <thead>
          <tr>
            <th scope="col">Name</th>
            <th scope="col">Nearest step</th>
            <th scope="col">Closed for now</th>
            <th scope="col">Last seen</th>
            <th scope="col">Height, and by tape</th>
            <th scope="col">Health</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <tr key={row.id}>
              <td>
                <TextLink href={`/students/${row.id}`} fw={600}>
                  {row.name}
                </TextLink>
              </td>
              <td>
                {row.nearest ? (
                  <TextLink
                    href={row.nearest.href}
                    c="var(--ink)"
                    underline="never"
                    className={classes.nearest}
                  >
                    <StatusMark outcome={row.nearest.mark} size={18} />
                    <span>
                      {row.nearest.next}
                      <small>{row.nearest.family}</small>
                    </span>
                  </TextLink>
                ) : null}
              </td>
              <td className={classes.closed}>{row.closed.join(', ')}</td>
              <td className={classes.short}>
                {row.lastSeen === '' ? <span className={table.quiet}>not yet</span> : row.lastSeen}
              </td>
              <td className={classes.short}>
                {row.statureCm === null ? (
                  <span className={table.quiet}>not yet</span>
                ) : (
                  formatStature(row.statureCm, units)
                )}
                <small>{taped(row)}</small>
              </td>
              <td>
                <TextLink href={`/students/${row.id}/health`}>{row.screening}</TextLink>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  )
}
