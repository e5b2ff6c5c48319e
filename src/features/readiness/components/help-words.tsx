import { Stack } from '@mantine/core'
import { HELP } from '@/core/words/help'
import { SaidLines } from '@/ui/said-lines'
import { Section } from '@/ui/section'
import { MarkKey } from './mark-key'

/** What the marks and words on the screens mean, from the same words that the screens use. */
export function HelpWords() {
  return (
    <Stack gap="lg">
      <Section title="Marks" fz="xl">
        <MarkKey open />
      </Section>
      {HELP.map(({ title, lines }) => (
        <Section key={title} title={title} fz="xl" mb={4}>
          <SaidLines lines={lines} />
        </Section>
      ))}
    </Stack>
  )
}
