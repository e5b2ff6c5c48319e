import { Group, List, ListItem, Stack, Text } from '@mantine/core'
import { LinkButton } from '@/ui/link-button'
import { PageHead } from '@/ui/page-head'
import { PrintButton } from '@/ui/print-button'
import type { CardData } from '../round-queries'
import { CardHead, letters } from './card-head'
import { CardChooser } from './card-chooser'
import { WayOut } from './way-out'
import classes from './check-card.module.css'

/** A round on paper: a row a person, pairs together, a box a result and the letters of what to ring. */
export function CheckCard({ card }: { card: CardData }) {
  return (
    <Stack maw={1000}>
      <PageHead
        title="Check card"
        lead={`${card.title}, ${card.dayLabel}. In pairs: one does, one watches and writes; then change.`}
      >
        <Group className="no-print">
          <LinkButton
            href={`/readiness/round/${card.classId}/enter?checks=${card.checks.map((c) => c.id).join(',')}`}
          >
            Copy it in
          </LinkButton>
          <PrintButton />
        </Group>
      </PageHead>
      <CardChooser card={card} at="card" />
      <div className={classes.scroller}>
        <table className={classes.card}>
          <CardHead checks={card.checks} />
          <tbody>
            {card.people.map((p, i) => (
              <tr key={p.id} data-first={i % 2 === 0}>
                <td>{p.pair}</td>
                <th scope="row">{p.name}</th>
                {card.checks.map((c) => (
                  <td key={c.id}>
                    <span className={classes.boxes}>
                      <span className={classes.box} />
                      {c.side === 'each' ? <span className={classes.box} /> : null}
                      <span className={classes.letters}>
                        {[...c.faults.map((f) => f.letter), '+'].join(' ')}
                      </span>
                    </span>
                    <WayOut check={c} person={p} />
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <List spacing={4}>
        {card.checks.map((c) => (
          <ListItem key={c.id}>
            <strong>{c.name}.</strong> {c.run} {letters(c)}
          </ListItem>
        ))}
      </List>
      <Text>
        Ring the letter of what was seen; ring + where a prop or the wall helped. Stop at the first breach.
      </Text>
    </Stack>
  )
}
