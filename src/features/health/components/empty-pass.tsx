'use client'

import { Button, Stack, Text, Title } from '@mantine/core'
import { useEffect } from 'react'
import { endEmptyPass } from '../layer-actions'

/** Nobody passed this tablet: the class is not there. It lets go by itself. */
export function EmptyPass() {
  const back = async (): Promise<void> => {
    await endEmptyPass()
    // A whole new page: nothing of the held one stays on it.
    window.location.replace('/')
  }
  useEffect(() => {
    void back()
  }, [])
  return (
    <Stack align="center" justify="center" mih="80vh" gap="xl">
      <Title order={1}>That class is not here any more.</Title>
      <Text>This tablet goes back to its teacher.</Text>
      <Button variant="filled" onClick={() => void back()}>
        Back to the teacher
      </Button>
    </Stack>
  )
}
