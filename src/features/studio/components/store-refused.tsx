import { Stack, Text, Title } from '@mantine/core'
import type { StoreRefusal } from '@/db/migrate'

const SAID: Readonly<Record<StoreRefusal['code'], string>> = {
  'newer-release':
    'The data here was written by a newer release of Levitar. Start that release again; this one would not understand it.',
  'update-failed': 'The data could not be brought up to date. It was rolled back whole.',
  'rows-would-go': 'The update would have lost entries. It was rolled back whole.',
  'links-would-break': 'The update would have torn entries apart. It was rolled back whole.',
}

/** The one page there is while the data cannot be opened: nothing was changed, and what to do. */
export function StoreRefused({ refusal, detail }: { refusal: StoreRefusal['code']; detail: string }) {
  return (
    <Stack component="main" maw={640} mx="auto" p="xl" role="alert">
      <Title order={1}>The data is not opened</Title>
      <Text fz="lg">{SAID[refusal]} Nothing in it was changed.</Text>
      <Text>
        The release that ran before this one still works with it. A copy from before the update lies beside it
        in the data folder.
      </Text>
      <Text c="dimmed">{detail}</Text>
    </Stack>
  )
}
