'use client'

import { Button, Group, Text } from '@mantine/core'
import { FormProblem } from '@/ui/form-problem'
import { saveFile } from '@/ui/save-file'
import { useSubmit } from '../../use-submit'
import { ownFile } from '../actions'

/** Everything that is kept of somebody, for themselves. */
export function OwnFileButton({ studentId, name }: { studentId: string; name: string }) {
  const { busy, problemOf, send } = useSubmit(ownFile)
  const keep = async (): Promise<void> => {
    const file = await send({ studentId })
    if (file) saveFile(file.name, 'application/json', file.text)
  }
  return (
    <Group>
      <Button loading={busy} onClick={() => void keep()}>
        A file for {name}
      </Button>
      <Text c="dimmed">Everything kept of them, for themselves; it asks for open health notes.</Text>
      <FormProblem message={problemOf('')} />
    </Group>
  )
}
