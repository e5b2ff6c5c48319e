import { Stack, Text } from '@mantine/core'
import { LinkButton } from '@/ui/link-button'
import { PageHead } from '@/ui/page-head'

export default function NotFound() {
  return (
    <Stack align="flex-start">
      <PageHead title="That page is not here" />
      <Text>The link may be old, or the person or class has been put away.</Text>
      <LinkButton variant="filled" href="/">
        Back to Today
      </LinkButton>
    </Stack>
  )
}
