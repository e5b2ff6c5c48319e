'use client'

import { Button, Group, Text } from '@mantine/core'
import { useState } from 'react'
import { FormProblem } from '@/ui/form-problem'
import { ShownOnce } from '@/ui/shown-once'
import { useSubmit } from '../../use-submit'
import { endCover, makeCover } from '../actions'

/** One class for whoever stands in: a link that opens on its day, reads and changes nothing. */
export function HandOver({ classId }: { classId: string }) {
  const made = useSubmit(makeCover)
  const ended = useSubmit(endCover)
  const [address, setAddress] = useState('')
  const [said, setSaid] = useState('')
  const make = async (): Promise<void> => {
    const link = await made.send({ classId })
    if (!link) return
    setAddress(window.location.origin + link.path)
    setSaid(
      'It opens on the day of the class, shows people, limits in words, plan and emergency card, and changes nothing.',
    )
  }
  const end = async (): Promise<void> => {
    if (!(await ended.send({ classId }))) return
    setAddress('')
    setSaid('No link to this class is open any more.')
  }
  return (
    <Group gap="sm" className="no-print" align="flex-end">
      {address === '' ? null : (
        <>
          <ShownOnce label="Link for whoever stands in, shown this once" address={address} />
          <Button loading={ended.busy} onClick={() => void end()}>
            End the link
          </Button>
        </>
      )}
      <Button loading={made.busy} onClick={() => void make()}>
        For a stand-in
      </Button>
      {said === '' ? null : (
        <Text size="sm" role="status">
          {said}
        </Text>
      )}
      <FormProblem message={made.problemOf('') ?? ended.problemOf('')} />
    </Group>
  )
}
