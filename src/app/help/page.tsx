import { Stack, Title } from '@mantine/core'
import type { Metadata } from 'next'
import { HELP } from '@/core/words/help'
import classes from '@/features/library/components/library.module.css'
import { page } from '@/features/page'
import { MarkKey } from '@/features/readiness/components/mark-key'
import { PageHead } from '@/ui/page-head'
import { SafetyLine } from '@/ui/safety-line'

export const metadata: Metadata = { title: 'Help' }

export default page(() => (
  <>
    <PageHead title="What does that mean?" lead="The words on the screens, in a sentence or two." />
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
          <dl className={classes.lines}>
            {lines.map(([label, text]) => (
              <div key={label}>
                <dt>{label}</dt>
                <dd>{text}</dd>
              </div>
            ))}
          </dl>
        </section>
      ))}
    </Stack>
    <SafetyLine />
  </>
))
