'use client'

import { Button, Group, Stack, Text } from '@mantine/core'
import { memo, useState, type RefObject } from 'react'
import { newId } from '@/device/facts'
import { FormProblem } from '@/ui/form-problem'
import { LinkButton } from '@/ui/link-button'
import { useSubmit } from '../../use-submit'
import { dropSetup, keepSetup } from '../actions'
import type { BenchPerson } from '../queries'
import type { Options } from './bench-state'

type Props = {
  person: BenchPerson | undefined
  setupId: string
  options: Options
  labelOf: (setupId: string) => string
  onRecall: (setupId: string, options: Options) => void
  /** What is kept of the person has changed. */
  onKept: () => void
  svgRef: RefObject<SVGSVGElement | null>
  statureCm: number
}

/** Keep for somebody, take up again, print, or save the drawing as a file. */
export const KeepPanel = memo(function KeepPanel({
  person,
  setupId,
  options,
  labelOf,
  onRecall,
  onKept,
  svgRef,
  statureCm,
}: Props) {
  const keep = useSubmit(keepSetup)
  const drop = useSubmit(dropSetup)
  const [id, setId] = useState(newId)
  const [said, setSaid] = useState('')
  const card = new URLSearchParams({
    setup: setupId,
    // Without a height of their own the card is that of the body on the bench.
    ...(person?.body ? { student: person.id } : { height: String(statureCm) }),
    ...(Object.keys(options).length > 0 ? { with: JSON.stringify(options) } : {}),
  })
  const store = async (): Promise<void> => {
    if (!person) return
    const kept = await keep.send({ id, studentId: person.id, setupId, options: { ...options } })
    if (!kept) return
    setSaid(`Kept for ${person.name}.`)
    setId(newId())
    onKept()
  }
  // The code that writes files comes when a file is asked for.
  const saveAs = async (kind: 'svg' | 'png'): Promise<void> => {
    const drawing = svgRef.current
    if (!drawing) return
    const { savePng, saveSvg } = await import('./export-drawing')
    const name = `${setupId.toLowerCase()}.${kind}`
    if (kind === 'svg') saveSvg(drawing, name)
    const done = kind === 'svg' || (await savePng(drawing, name))
    setSaid(done ? '' : 'The drawing could not be made into a picture; take the SVG.')
  }
  return (
    <Stack gap="xs">
      <FormProblem message={keep.problemOf('') ?? drop.problemOf('')} />
      <Group gap="xs">
        {person ? (
          <Button variant="filled" loading={keep.busy} onClick={() => void store()}>
            Keep for {person.name.split(' ')[0]}
          </Button>
        ) : null}
        <LinkButton href={`/setups/card?${card.toString()}`}>Card to print</LinkButton>
        <Button onClick={() => void saveAs('svg')}>Drawing as SVG</Button>
        <Button onClick={() => void saveAs('png')}>Drawing as PNG</Button>
        <Text role="status">{said}</Text>
      </Group>
      {person && person.saved.length > 0 ? (
        <Group gap="xs" role="group" aria-label={`Kept for ${person.name}`}>
          <Text fw={500}>Kept:</Text>
          {person.saved.map((saved) => (
            <Group key={saved.id} gap={2}>
              <Button
                variant="light"
                styles={{ label: { color: 'var(--ink)' } }}
                onClick={() => onRecall(saved.setupId, saved.options)}
              >
                {labelOf(saved.setupId)}, {saved.day}
              </Button>
              <Button
                variant="subtle"
                c="var(--ink)"
                aria-label={`Let ${labelOf(saved.setupId)} go`}
                onClick={() => void drop.send({ id: saved.id }).then(() => onKept())}
              >
                ×
              </Button>
            </Group>
          ))}
        </Group>
      ) : null}
    </Stack>
  )
})
