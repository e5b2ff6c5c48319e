import { Anchor, Code, Stack, Text } from '@mantine/core'
import type { Metadata } from 'next'
import { Tokens } from '@/features/api/components/tokens'
import { tokenLines } from '@/features/api/queries'
import { page } from '@/features/page'
import { PageHead } from '@/ui/page-head'

export const metadata: Metadata = { title: 'Other programs' }

export default page((ctx) => (
  <Stack maw={860}>
    <PageHead title="What may other programs read?" lead="Nothing until a token is made here" />
    <Text>
      A program sends its token with each request, as <Code>Authorization: Bearer</Code> and the token, to
      addresses below <Code>/api/v1</Code>. It can read what its token names and change nothing. No health, no
      limit and no note is ever told.{' '}
      <Anchor href="/api/v1/openapi.json" underline="always">
        What there is to read, as an OpenAPI file
      </Anchor>
    </Text>
    <Tokens lines={tokenLines(ctx)} />
  </Stack>
))
