import { Group, Text, Title } from '@mantine/core'
import type { Outcome } from '@/core/readiness/decide'
import { Figure } from '@/ui/figure/figure'
import { SaidLines } from '@/ui/said-lines'
import { StatusMark } from '@/ui/status-mark'
import { TextLink } from '@/ui/text-link'
import type { DecisionView } from '../../desk/decision-view'
import type { StepOpen } from '../path-queries'
import { Meters } from './meters'
import classes from './step-open.module.css'

type Props = {
  step: StepOpen
  studentId: string
  /** The answer for the step that comes next; null for any other. */
  decision: DecisionView | null
  outcome: Outcome
  tonight: string
}

/** One step as it is taught, with what it asks of this person; the answer stands first where it is the next one. */
export function StepOpened({ step, studentId, decision, outcome, tonight }: Props) {
  return (
    <section className="card" aria-label={decision ? 'Decision' : 'Step'}>
      <div className={classes.head}>
        <div>
          <Group gap="sm">
            {decision ? <StatusMark outcome={outcome} size={30} /> : null}
            <Title order={2} fz="xl">
              {step.name}
            </Title>
          </Group>
          {step.sanskrit === '' ? null : <Text c="dimmed">{step.sanskrit}</Text>}
          {step.limit === '' ? null : <Text fw={600}>{step.limit}</Text>}
          {decision && tonight !== '' ? <Text role="note">{tonight}</Text> : null}
          {step.dose === '' ? null : (
            <Text>
              <strong>How much:</strong> {step.dose}
            </Text>
          )}
        </div>
        {step.picture ? <Figure picture={step.picture} height={150} plumb label={step.name} /> : null}
      </div>
      {decision ? <Reasons decision={decision} limit={step.limit} /> : null}
      <Meters meters={step.meters} />
      <div className={classes.words}>
        <SaidLines lines={wordsOf(step)} />
      </div>
      {step.setupId ? (
        <div className={classes.where}>
          {step.numbers.length === 0 ? null : (
            <dl aria-label="Where hands and props go">
              {step.numbers.map(({ label, value }) => (
                <div key={label}>
                  <dt>{label}</dt>
                  <dd>{value}</dd>
                </div>
              ))}
            </dl>
          )}
          <TextLink href={`/setups?student=${studentId}&setup=${step.setupId}&step=${step.id}`}>
            {step.setup}: measure it
          </TextLink>
        </div>
      ) : null}
    </section>
  )
}

function wordsOf(step: StepOpen): [label: string, text: string][] {
  const rows: [string, string][] = [
    ['Do', step.do],
    ['Look for', step.lookFor],
    ['Say', step.say === '' ? '' : `“${step.say}”`],
    ['Way out', step.out.join(' ')],
    ['Asks', step.asks.join(' · ')],
  ]
  return rows.filter(([, text]) => text !== '')
}

/** What bears on the answer besides what is asked. */
function Reasons({ decision: { reasons, missing, met }, limit }: { decision: DecisionView; limit: string }) {
  const told = new Set([...missing, ...met, limit])
  const rest = reasons.filter((line) => !told.has(line))
  if (rest.length === 0) return null
  return (
    <ul className={classes.reasons} aria-label="Why">
      {rest.map((line) => (
        <li key={line}>{line}</li>
      ))}
    </ul>
  )
}
