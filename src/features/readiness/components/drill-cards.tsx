import { Text } from '@mantine/core'
import { DoseRunner } from './dose-runner'
import { Figure } from '@/ui/figure/figure'
import { TextLink } from '@/ui/text-link'
import type { DrillCard } from '../next-steps-queries'
import classes from './drill-cards.module.css'

/** What to drill until then, each as it is done. */
export function DrillCards({ drills }: { drills: readonly DrillCard[] }) {
  return (
    <ul className={classes.cards}>
      {drills.map((drill) => (
        <li key={drill.id} className="card">
          <div className={classes.drawn}>
            {drill.picture ? <Figure picture={drill.picture} height={74} /> : null}
          </div>
          <div>
            <Text fw={650}>
              <TextLink href={`/library/${drill.id}`}>{drill.name}</TextLink>
            </Text>
            <Text size="sm" c="dimmed">
              For {drill.aim}. About {drill.minutes} min.
            </Text>
            <Text fw={600}>{drill.dose}</Text>
            {drill.changed === '' ? null : <Text fw={600}>{drill.changed}</Text>}
            {drill.side === '' ? null : <Text fw={600}>{drill.side}</Text>}
            <Text size="sm">{drill.do}</Text>
            <Text size="sm">
              <strong>Look for:</strong> {drill.lookFor}
            </Text>
            {drill.easier === '' ? null : (
              <Text size="sm">
                <strong>Easier:</strong> {drill.easier}
              </Text>
            )}
            {drill.harder === '' ? null : (
              <Text size="sm">
                <strong>Harder:</strong> {drill.harder}
              </Text>
            )}
            <DoseRunner parts={drill.parts} />
          </div>
        </li>
      ))}
    </ul>
  )
}
