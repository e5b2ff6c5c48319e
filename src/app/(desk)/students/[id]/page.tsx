import { Divider, Grid, GridCol, Stack, Text } from '@mantine/core'
import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { BodyLines } from '@/features/students/components/body-lines'
import { ArchiveButton, ProfileForm } from '@/features/students/components/profile-form'
import { EraseButton } from '@/features/students/components/erase-button'
import { OwnFileButton } from '@/features/studio-file/components/own-file-button'
import { bodyLines, incidentCount, profileValues, studentProfile } from '@/features/students/queries'
import { LinkButton } from '@/ui/link-button'
import { PageHead } from '@/ui/page-head'
import { page } from '@/features/page'

export const metadata: Metadata = { title: 'Profile' }

export default page<{ params: Promise<{ id: string }> }>(async (ctx, { params }) => {
  const { id } = await params
  const student = studentProfile(ctx, id)
  if (!student) notFound()
  const drawn = bodyLines(ctx, student)
  return (
    <Stack>
      <PageHead
        title={student.name}
        lead={student.archivedDay ? 'Archived.' : 'Whose body is being measured for?'}
      >
        <LinkButton href={`/readiness/${id}`}>Readiness</LinkButton>
        <LinkButton href={`/setups?student=${id}`} variant="default">
          Setups
        </LinkButton>
        <LinkButton href={`/studio/approaches?scope=student&id=${id}`} variant="default">
          Ways of working
        </LinkButton>
        <LinkButton href={`/students/${id}/health`} variant="default">
          Limits
        </LinkButton>
      </PageHead>
      <Grid gap="xl">
        <GridCol span={{ base: 12, lg: 7 }}>
          <ProfileForm key={`${id} ${ctx.studio.units}`} initial={profileValues(ctx, student)} />
        </GridCol>
        <GridCol span={{ base: 12, lg: 5 }}>
          {drawn ? (
            <>
              <BodyLines {...drawn} wording={ctx.studio} />
              <Text size="sm" c="dimmed">
                Bold is measured; thin is estimated from the height, and a tape makes it sure.
              </Text>
            </>
          ) : null}
        </GridCol>
      </Grid>
      <Divider />
      <OwnFileButton studentId={id} name={student.name} />
      <ArchiveButton id={id} name={student.name} archived={student.archivedDay !== null} />
      <EraseButton id={id} name={student.name} incidents={incidentCount(ctx, id)} />
    </Stack>
  )
})
