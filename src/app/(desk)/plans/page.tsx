import type { Metadata } from 'next'
import { classSummaries } from '@/features/plans/queries'
import { LinkButton } from '@/ui/link-button'
import { PageHead } from '@/ui/page-head'
import rows from '@/ui/rows.module.css'
import { TextLink } from '@/ui/text-link'
import { dayAsked, page } from '@/features/page'
import { Earlier } from '@/ui/earlier'

export const metadata: Metadata = { title: 'Plans' }

export default page<{ searchParams: Promise<{ before?: string | string[] }> }>(
  async (ctx, { searchParams }) => {
    const before = dayAsked((await searchParams).before)
    const { classes, earlier } = classSummaries(ctx, before)
    return (
      <>
        <PageHead title="What happens when?" lead={classes.length === 0 ? 'No class yet.' : undefined}>
          <LinkButton variant="filled" href="/plans/new">
            New class
          </LinkButton>
        </PageHead>
        {classes.length === 0 ? null : (
          <div className={rows.scroll}>
            <table className={rows.rows}>
              <caption>Newest first</caption>
              <thead>
                <tr>
                  <th scope="col">Class</th>
                  <th scope="col">Day</th>
                  <th scope="col">People</th>
                  <th scope="col">Plan</th>
                </tr>
              </thead>
              <tbody>
                {classes.map((c) => (
                  <tr key={c.id}>
                    <td>
                      <TextLink href={`/plans/${c.id}`} fw={600}>
                        {c.title}
                      </TextLink>
                    </td>
                    <td>
                      {c.dayLabel}, {c.startTime}
                    </td>
                    <td>{c.people}</td>
                    <td>{c.planned ? 'planned' : c.past ? 'not kept' : 'to be made'}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
        )}
        <Earlier links={[earlier === null ? null : ['Earlier classes', `/plans?before=${earlier}`]]} />
      </>
    )
  },
)
