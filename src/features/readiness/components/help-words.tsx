import { Stack, Title } from '@mantine/core'
import { HELP } from '@/core/words/help'
import { SaidLines } from '@/ui/said-lines'
import { MarkKey } from './mark-key'

/** What the marks and words on the screens mean, from the same words that the screens use. */
export function HelpWords() {
  return (
    <Stack gap="lg">
      <section aria-labelledby="marks">
        <Title order={2} id="marks" fz="xl">
          Marks
        </Title>
        <MarkKey open />
      </section>
      {HELP.map(({ title, lines }) => (
        <section key={title} aria-label={title}>
          <Title order={2} fz="xl" mb={4}>
            {title}
          </Title>
          <SaidLines lines={lines} />
        </section>
      ))}
    </Stack>
  )
}
