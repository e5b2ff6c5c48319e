import { List, ListItem, Stack, Text, Title } from '@mantine/core'
import type { Cover, CoverDoing } from '../queries'
import { Section } from '@/ui/section'

/** A class as whoever stands in reads it: who comes and what they leave out, the hour, the card for an emergency. */
export function CoverSheet({ cover }: { cover: Cover }) {
  return (
    <Stack maw={860} mx="auto">
      <Title order={1} fz={28}>
        {cover.title}
      </Title>
      <Text>
        {cover.when} · {cover.minutes} minutes · {cover.people.length} people. For reading: nothing is changed
        here. Whoever leaves something out tonight does what stands beside their name; please offer nothing
        further.
      </Text>
      <Section title="Who comes" className="card">
        <List>
          {cover.people.map((p) => (
            <ListItem key={p.name}>
              <strong>{p.name}</strong>
              {p.limits.length === 0 ? '' : `: leaves out ${p.limits.join(', ')}`}
              {p.touch === '' ? '' : `. ${p.touch}`}
            </ListItem>
          ))}
        </List>
      </Section>
      {cover.blocks.map((block) => (
        <section key={block.key} className="card" aria-label={block.title}>
          <Title order={2}>
            {block.title}, {block.minutes}
          </Title>
          {block.run === '' ? null : <Text>{block.run}</Text>}
          {block.together.length === 0 ? null : <Text>{block.together.join(' · ')}</Text>}
          {block.doings.length === 0 ? null : (
            <List>
              {block.doings.map((d) => (
                <ListItem key={d.name}>
                  <DoingLine doing={d} />
                </ListItem>
              ))}
            </List>
          )}
        </section>
      ))}
      <Section title="Emergency card" className="card">
        {cover.emergency.length === 0 ? (
          <Text>Nothing is on the card: ask before you begin.</Text>
        ) : (
          <List>
            {cover.emergency.map(({ label, text }) => (
              <ListItem key={label}>
                <strong>{label}</strong>: {text}
              </ListItem>
            ))}
          </List>
        )}
      </Section>
    </Stack>
  )
}

function DoingLine({ doing: { name, what, how, change, beside, out } }: { doing: CoverDoing }) {
  return (
    <>
      <strong>{name}</strong>: {what}
      {how === '' ? '' : `. ${how}`}
      {change === '' ? '' : `. ${change}`}
      {beside === '' ? '' : ` With ${beside} beside.`}
      {out === '' ? '' : ` Way out: ${out}`}
    </>
  )
}
