import { Group, Text } from '@mantine/core'
import { LinkButton } from '@/ui/link-button'

/**
 * What the bars of a progression mean, or how to have them.
 * @param height of the body that is drawn, in words; null while no loads are shown
 */
export function LoadLine({ family, height }: { family: string; height: string | null }) {
  return (
    <Group mb="sm" gap="md">
      <LinkButton href={`/library?family=${family}${height === null ? '&loads' : ''}`}>
        {height === null ? 'What each step carries' : 'Without loads'}
      </LinkButton>
      {height === null ? null : (
        <Text maw={620}>
          Share of body weight in each shape as it is drawn, on a body of {height}: the coloured part of a bar
          is on the arms, the black part on head, shoulders or upper back. What has no bar is not weighed.
          Somebody’s own figures stand on the bench.
        </Text>
      )}
    </Group>
  )
}
