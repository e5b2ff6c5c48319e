import { Text } from '@mantine/core'

/** The quiet line on every page that can lead to an attempt. */
export function SafetyLine() {
  return (
    <Text size="sm" c="dimmed" mt="xl">
      Levitar supports a qualified teacher’s judgement. It is not medical advice; local codes, insurance and a
      clinician’s word come first.
    </Text>
  )
}
