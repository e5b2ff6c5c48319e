import { Stack, Text, Title } from '@mantine/core'
import type { StoreRefusal } from '@/db/migrate'

const SAID: Readonly<Record<StoreRefusal['code'], string>> = {
  'newer-release':
    'The data here was written by a newer release of Levitar. Start that release again; this one would not understand it.',
  'update-failed': 'The data could not be brought up to date. It was rolled back whole.',
  'rows-would-go': 'The update would have lost entries. It was rolled back whole.',
  damaged:
    'The file of the data is damaged. Put back the newest whole backup with “npm run restore”, into an empty folder.',
  'not-writable': 'The data folder cannot be written to. Whoever runs the machine gives its rights back.',
  full: 'The disk is full. Make room on it: everything that was stored is there.',
  emptied:
    'The file of the data is empty, though a studio’s key lies beside it. Put back the newest backup with “npm run restore”, into an empty folder.',
  'links-would-break': 'The update would have torn entries apart. It was rolled back whole.',
}

/** What is no fault of an update. */
const GROUND: readonly StoreRefusal['code'][] = ['damaged', 'not-writable', 'full', 'emptied']

/** The one page there is while the data cannot be opened: nothing was changed, and what to do. */
export function StoreRefused({ refusal, detail }: { refusal: StoreRefusal['code']; detail: string }) {
  return (
    <Stack component="main" maw={640} mx="auto" p="xl" role="alert">
      <Title order={1}>The data is not opened</Title>
      <Text fz="lg">{SAID[refusal]} Nothing in it was changed.</Text>
      {GROUND.includes(refusal) ? (
        <Text>“npm run doctor” tells more, and where the backups are.</Text>
      ) : (
        <Text>
          The release that ran before this one still works with it. A copy from before the update lies beside
          it in the data folder.
        </Text>
      )}
      <Text c="dimmed">{detail}</Text>
    </Stack>
  )
}
