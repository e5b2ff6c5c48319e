import { Group, Text } from '@mantine/core'
import type { Metadata } from 'next'
import { familyAsked } from '@/features/desk/families'
import { page } from '@/features/page'
import { byEye } from '@/features/readiness/by-eye-queries'
import { ByEyeList } from '@/features/readiness/components/by-eye-list'
import { saveHeight } from '@/features/students/actions'
import { LinkButton } from '@/ui/link-button'
import { PageHead } from '@/ui/page-head'
import { SafetyLine } from '@/ui/safety-line'
import { TextLink } from '@/ui/text-link'

export const metadata: Metadata = { title: 'By eye' }

export default page<{ searchParams: Promise<{ family?: string; who?: string }> }>(
  async (ctx, { searchParams }) => {
    const { family, who } = await searchParams
    const data = byEye(ctx, familyAsked(family), who)
    const href = (f: string, w: string): string => `/readiness/by-eye?family=${f}&who=${w}`
    return (
      <>
        <PageHead title="Where does each one stand?" lead="By eye, as far as you know them; leave the rest.">
          <LinkButton href={`/readiness?who=${data.who}`} variant="default">
            Everybody’s readiness
          </LinkButton>
        </PageHead>
        <Choices
          label="Families"
          now={data.family}
          of={data.families.map((f) => ({ key: f.id, label: f.name, href: href(f.id, data.who) }))}
        />
        <Choices
          label="Whom"
          now={data.who}
          of={data.whos.map((w) => ({
            key: w.key,
            label: `${w.label} (${w.count})`,
            href: href(data.family, w.key),
          }))}
        />
        {data.people.length === 0 ? (
          <Text>Nobody here yet.</Text>
        ) : (
          <ByEyeList
            key={`${data.family} ${data.who}`}
            rungs={data.rungs}
            people={data.people}
            saveHeight={saveHeight}
          />
        )}
        <Text size="sm" c="dimmed" mt="sm">
          The last step done well, alone. It lasts 28 days unless shown, credits what comes before, and opens
          nothing with a high fall. Health questions still come first.
        </Text>
        <SafetyLine />
      </>
    )
  },
)

function Choices({
  label,
  now,
  of,
}: {
  label: string
  now: string
  of: readonly { key: string; label: string; href: string }[]
}) {
  return (
    <Group component="nav" aria-label={label} gap="md" mb={6}>
      {of.map(({ key, label: said, href }) => (
        <TextLink
          key={key}
          href={href}
          fw={key === now ? 700 : 400}
          underline={key === now ? 'always' : 'hover'}
          aria-current={key === now ? 'page' : undefined}
        >
          {said}
        </TextLink>
      ))}
    </Group>
  )
}
