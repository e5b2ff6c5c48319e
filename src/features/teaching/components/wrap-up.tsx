import { Group, List, ListItem, Stack, Text, Title } from '@mantine/core'
import type { WrapUp as Data } from '../wrap-queries'
import { NoteChips } from './note-chips'
import { TakeBack } from './take-back'
import classes from './wrap-up.module.css'
import { Section } from '@/ui/section'

/** Two minutes after class: against the plan, what was seen, who went short, a word about each. */
export function WrapUp({ data }: { data: Data }) {
  return (
    <Stack>
      {data.twice.length === 0 ? null : (
        <section className="card" aria-label="Recorded twice">
          <Title order={2}>One try or two? Two screens recorded the same at the same moment</Title>
          {data.twice.map(({ id, studentId, line }) => (
            <Group key={id} mt="xs">
              <Text>{line}</Text>
              <TakeBack id={id} studentId={studentId} name={line} />
            </Group>
          ))}
        </section>
      )}
      <Section title="Against the plan" className="card">
        <ol className={classes.ran}>
          {data.blocks.map(({ title, ran }, i) => (
            <li key={`${i} ${title}`}>
              <span>{title}</span>
              <span>{ran}</span>
            </li>
          ))}
        </ol>
        {data.short.map((line) => (
          <Text key={line} mt="xs">
            {line}
          </Text>
        ))}
      </Section>
      {data.next.length === 0 ? null : (
        <section className="card" aria-label="Next time">
          <Title order={2}>Props next time</Title>
          <List>
            {data.next.map((line) => (
              <ListItem key={line}>{line}</ListItem>
            ))}
          </List>
        </section>
      )}
      <Section title="A word about each" className="card">
        {data.people.map(({ id, name, seen, notes }) => (
          <section key={id} aria-label={`${name}, in class`} className={classes.person}>
            <Text fw={650}>{name}</Text>
            {seen.length === 0 ? <Text c="dimmed">No try recorded.</Text> : null}
            <List>
              {seen.map((line) => (
                <ListItem key={line}>{line}</ListItem>
              ))}
            </List>
            <NoteChips classId={data.classId} studentId={id} name={name} kept={notes} hidden={data.hidden} />
          </section>
        ))}
      </Section>
    </Stack>
  )
}
