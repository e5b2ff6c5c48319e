import { Text } from '@mantine/core'
import type { Metadata } from 'next'
import { familyAsked } from '@/features/desk/families'
import { page, pageAsked } from '@/features/page'
import { byEye } from '@/features/readiness/by-eye-queries'
import { ByEyeList } from '@/features/readiness/components/by-eye-list'
import { saveHeight } from '@/features/students/actions'
import { ChoiceLinks } from '@/ui/choice-links'
import { Earlier } from '@/ui/earlier'
import { LinkButton } from '@/ui/link-button'
import { PageHead } from '@/ui/page-head'
import { SafetyLine } from '@/ui/safety-line'

export const metadata: Metadata = { title: 'By eye' }

export default page<{ searchParams: Promise<{ family?: string; who?: string; page?: string }> }>(
  async (ctx, { searchParams }) => {
    const { family, who, page: at } = await searchParams
    const data = byEye(ctx, familyAsked(family), who, pageAsked(at))
    const href = (f: string, w: string): string => `/readiness/by-eye?family=${f}&who=${w}`
    return (
      <>
        <PageHead title="Where does each one stand?" lead="By eye, as far as you know them; leave the rest.">
          <LinkButton href={`/readiness?who=${data.who}`}>Everybody’s readiness</LinkButton>
        </PageHead>
        <ChoiceLinks
          label="Families"
          now={data.family}
          of={data.families.map((f) => ({ key: f.id, label: f.name, href: href(f.id, data.who) }))}
        />
        <ChoiceLinks
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
            key={`${data.family} ${data.who} ${data.page}`}
            rungs={data.rungs}
            people={data.people}
            saveHeight={saveHeight}
          />
        )}
        <Earlier
          links={[
            data.page > 1
              ? ['Earlier in the alphabet', `${href(data.family, data.who)}&page=${data.page - 1}`]
              : null,
            data.page < data.pages
              ? ['Later in the alphabet', `${href(data.family, data.who)}&page=${data.page + 1}`]
              : null,
          ]}
        />
        <Text size="sm" c="dimmed" mt="sm">
          The last step done well, alone. It lasts 28 days unless shown, credits what comes before, and opens
          nothing with a high fall. Health questions still come first.
        </Text>
        <SafetyLine />
      </>
    )
  },
)
