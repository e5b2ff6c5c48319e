import { Stack, Text } from '@mantine/core'
import type { Metadata } from 'next'
import { Link } from '@/ui/link'
import { notFound } from 'next/navigation'
import classes from '@/features/library/components/library.module.css'
import { entryPage } from '@/features/library/queries'
import { page } from '@/features/page'
import { BuildOwn, BuiltOn } from '@/features/practice-own/components/own-entry'
import { OwnForm } from '@/features/practice-own/components/own-form'
import { ownView } from '@/features/practice-own/queries'
import { DoseRunner } from '@/features/readiness/components/dose-runner'
import { Figure } from '@/ui/figure/figure'
import { LinkButton } from '@/ui/link-button'
import { PageHead } from '@/ui/page-head'
import { PrintButton } from '@/ui/print-button'
import { SaidLines } from '@/ui/said-lines'
import { SafetyLine } from '@/ui/safety-line'
import { Section } from '@/ui/section'

export const metadata: Metadata = { title: 'Library' }

export default page<{ params: Promise<{ id: string }> }>(async (ctx, { params }) => {
  const { id } = await params
  const entry = entryPage(ctx, id)
  if (!entry) notFound()
  const own = ownView(ctx, id)
  return (
    <article>
      <PageHead title={entry.name} lead={[entry.also, entry.kind].filter((t) => t !== '').join(' · ')}>
        {entry.bench ? (
          <LinkButton variant="filled" href={entry.bench}>
            Measure it on a body
          </LinkButton>
        ) : null}
        <PrintButton />
        <LinkButton href="/library">Library</LinkButton>
      </PageHead>
      <div className={classes.page}>
        <SaidLines lines={entry.lines} />
        {entry.beside ? <Beside {...entry.beside} name={entry.name} /> : null}
        {entry.picture ? <Figure picture={entry.picture} height={220} plumb label={entry.name} /> : null}
      </div>
      {entry.parts.length === 0 ? null : <DoseRunner parts={entry.parts} />}
      <Stack mt="lg" gap="md">
        {entry.links.map(({ title, to }) => (
          <Section key={title} title={title}>
            <ul className={classes.links}>
              {to.map((other) => (
                <li key={other.id}>
                  <Link href={`/library/${other.id}`} className={classes.link}>
                    {other.picture ? <Figure picture={other.picture} height={34} /> : null}
                    {other.name}
                  </Link>
                </li>
              ))}
            </ul>
          </Section>
        ))}
      </Stack>
      {own?.built ? <BuiltOn id={id} built={own.built} /> : null}
      {own?.toBuild ? (
        <details className="no-print">
          <summary>Build a {own.toBuild.kind === 'stage' ? 'step' : 'drill'} of our own on it</summary>
          <BuildOwn base={id} name={entry.name} toBuild={own.toBuild} />
        </details>
      ) : null}
      {own ? (
        <details className="no-print" open={own.isOwn && !own.built}>
          <summary>
            {own.isOwn && !own.built ? 'Changed for this studio' : 'Say or ask it in your own way'}
          </summary>
          <OwnForm key={own.history.length} own={own} />
        </details>
      ) : null}
      <Text className={classes.small} mt="lg">
        Known in exports as {entry.id}.
      </Text>
      <SafetyLine />
    </article>
  )
})

function Beside({
  right,
  wrong,
  view,
  name,
}: NonNullable<NonNullable<ReturnType<typeof entryPage>>['beside']> & { name: string }) {
  return (
    <div className={classes.beside}>
      <figure>
        <Figure picture={right} view={view} height={180} label="Right" plumb />
        <figcaption>Right</figcaption>
      </figure>
      <figure>
        <Figure picture={wrong} view={view} height={180} label={name} plumb />
        <figcaption>Wrong</figcaption>
      </figure>
    </div>
  )
}
