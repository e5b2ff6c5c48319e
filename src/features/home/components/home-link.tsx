'use client'

import { Button, Group, Text } from '@mantine/core'
import { useState } from 'react'
import { FormProblem } from '@/ui/form-problem'
import { ShownOnce } from '@/ui/shown-once'
import { saveFile } from '@/ui/save-file'
import { Section } from '@/ui/section'
import { useSubmit } from '../../use-submit'
import { endHomeLink, homeAsCalendar, makeHomeLink } from '../actions'

/** Ways to hand a week over: a private link, a calendar file. */
export function HomeLink({ studentId, until }: { studentId: string; until: string }) {
  const made = useSubmit(makeHomeLink)
  const ended = useSubmit(endHomeLink)
  const calendar = useSubmit(homeAsCalendar)
  const [address, setAddress] = useState('')
  const make = async (): Promise<void> => {
    const link = await made.send({ studentId })
    if (link) setAddress(window.location.origin + link.path)
  }
  const end = async (): Promise<void> => {
    if (await ended.send({ studentId })) setAddress('')
  }
  const keep = async (): Promise<void> => {
    const file = await calendar.send({ studentId })
    if (file) saveFile(file.name, 'text/calendar', file.text)
  }
  return (
    <Section title="Hand it over" className="card no-print" gap="sm">
      <Text>
        {until === ''
          ? 'A private link shows this sheet on their phone and takes their ticks. Whoever has it sees it: give it to them alone.'
          : `A private link is open until ${until}. A new one ends it.`}
      </Text>
      {address === '' ? null : (
        <Group align="flex-end" wrap="nowrap">
          <ShownOnce label="Private link, shown this once" address={address} />
        </Group>
      )}
      <FormProblem message={made.problemOf('') ?? ended.problemOf('') ?? calendar.problemOf('')} />
      <Group>
        <Button loading={made.busy} onClick={() => void make()}>
          {until === '' ? 'Make a private link' : 'Make a new link'}
        </Button>
        {until === '' ? null : (
          <Button loading={ended.busy} onClick={() => void end()}>
            End the link
          </Button>
        )}
        <Button loading={calendar.busy} onClick={() => void keep()}>
          Into a calendar
        </Button>
      </Group>
    </Section>
  )
}
