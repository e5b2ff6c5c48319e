import { Divider, Stack, Text } from '@mantine/core'
import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { ArchiveButton, ProfileForm } from '@/features/students/components/profile-form'
import { EraseButton } from '@/features/students/components/erase-button'
import { OwnFileButton } from '@/features/studio-file/components/own-file-button'
import {
  incidentCount,
  lastWord,
  measuring,
  profileValues,
  studentProfile,
} from '@/features/students/queries'
import { LinkButton } from '@/ui/link-button'
import { PageHead } from '@/ui/page-head'
import { page } from '@/features/page'

export const metadata: Metadata = { title: 'Profile' }

export default page<{ params: Promise<{ id: string }> }>(async (ctx, { params }) => {
  const { id } = await params
  const student = studentProfile(ctx, id)
  if (!student) notFound()
  const word = lastWord(ctx, id)
  return (
    <Stack>
      <PageHead
        title={student.name}
        lead={student.archivedDay ? 'Archived.' : 'Whose body is being measured for?'}
      >
        <LinkButton variant="filled" href={`/readiness/${id}`}>
          Readiness
        </LinkButton>
        <LinkButton href={`/setups?student=${id}`}>Setups</LinkButton>
        <LinkButton href={`/studio/approaches?scope=student&id=${id}`}>Ways of working</LinkButton>
        <LinkButton href={`/students/${id}/health`}>Limits</LinkButton>
      </PageHead>
      {word === '' ? null : <Text>Last word: {word}.</Text>}
      <ProfileForm
        key={`${id} ${ctx.studio.units}`}
        initial={profileValues(ctx, student)}
        measuring={measuring(ctx, student)}
      />
      <Divider />
      <OwnFileButton studentId={id} name={student.name} />
      <ArchiveButton id={id} name={student.name} archived={student.archivedDay !== null} />
      <EraseButton id={id} name={student.name} incidents={incidentCount(ctx, id)} />
    </Stack>
  )
})
