import { Button, Group, Text, TextInput } from '@mantine/core'
import type { Metadata } from 'next'
import { Cards } from '@/features/library/components/cards'
import { LoadLine } from '@/features/library/components/load-line'
import { Progression } from '@/features/library/components/progression'
import {
  drawnHeight,
  familyFrom,
  familyNames,
  found,
  kindFrom,
  kindNames,
  listOf,
  mapOf,
} from '@/features/library/queries'
import { page } from '@/features/page'
import { ownEntries } from '@/features/practice-own/queries'
import { PageHead } from '@/ui/page-head'
import { ChoiceLinks } from '@/ui/choice-links'
import { LinkButton } from '@/ui/link-button'
import { Section } from '@/ui/section'

export const metadata: Metadata = { title: 'Library' }

type Asked = { family?: string; kind?: string; q?: string; loads?: string }

export default page<{ searchParams: Promise<Asked> }>(async (ctx, { searchParams }) => {
  const { family: familyAsked, kind: kindAsked, q = '', loads } = await searchParams
  const [family, kind] = [familyFrom(familyAsked), kindFrom(kindAsked)]
  const asked = q.trim()
  return (
    <>
      <PageHead
        title="What is there to know?"
        lead="Steps, drills, checks, faults, setups and what is said of them."
      >
        {ownEntries(ctx) ? <LinkButton href="/library/own">Our own practice</LinkButton> : null}
      </PageHead>
      <form role="search" action="/library">
        <Group gap="xs" mb="sm" align="flex-end">
          <TextInput
            name="q"
            label="Look something up"
            placeholder="crow, wrist, pincha …"
            defaultValue={asked}
            w={320}
            maxLength={80}
          />
          <Button type="submit">Look</Button>
        </Group>
      </form>
      <ChoiceLinks
        label="Families"
        now={asked === '' && !kind ? family : null}
        of={familyNames().map(([key, label]) => ({ key, label, href: `/library?family=${key}` }))}
      />
      <ChoiceLinks
        label="What else there is"
        now={asked === '' ? kind : null}
        of={kindNames().map(([key, label]) => ({ key, label, href: `/library?kind=${key}` }))}
      />
      {asked !== '' ? (
        <Found asked={asked} cards={found(ctx, asked)} />
      ) : kind ? (
        <Cards cards={listOf(ctx, kind)} />
      ) : (
        <>
          <LoadLine family={family} height={loads === undefined ? null : drawnHeight(ctx)} />
          <Progression steps={mapOf(ctx, family, loads !== undefined)} />
        </>
      )}
    </>
  )
})

function Found({ asked, cards }: { asked: string; cards: ReturnType<typeof found> }) {
  return (
    <Section title={cards.length === 0 ? `Nothing like “${asked}”` : `Found for “${asked}”`} fz="xl" mb="xs">
      {cards.length === 0 ? <Text>Try another word for it, or fewer words.</Text> : null}
      <Cards cards={cards} withKind />
    </Section>
  )
}
