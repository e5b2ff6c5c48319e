'use client'

import { Anchor, List, ListItem, Table, Text, TextInput, Title } from '@mantine/core'
import { useRef, useState } from 'react'
import { LENGTH_RATIO, SD_FRACTION, SEGMENT_NAMES, type SegmentName } from '@/core/body/anthropometry'
import { estimateBody, STATURE_RANGE, type LengthName } from '@/core/body/estimate'
import { measuredBody } from '@/core/figure/measured-body'
import { formatLength, parseLength, type LengthUnit } from '@/core/units'
import { describeBody, segmentName } from '@/core/words/length'
import { length } from '@/core/words/number'
import { placementLabel } from '@/core/words/setup'
import { tapeFor } from '@/core/words/tape'
import { useWording } from '@/ui/wording'
import type { Measuring } from '../queries'
import { BodyLines } from './body-lines'

type Typed = Partial<Record<SegmentName, string>>
type Props = {
  stature: string
  measured: Typed
  onChange: (measured: Typed) => void
  problemOf: (path: string) => string | undefined
  measuring: Measuring
}

/** The body with its lengths, typed where they are drawn; what a tape would settle first, and all of them as a list. */
export function Lengths({ stature, measured, onChange, problemOf, measuring }: Props) {
  const wording = useWording()
  const [picked, setPicked] = useState<SegmentName | null>(null)
  const body = bodyOf(stature, measured, wording.units)
  const drawn = body?.ok ? measuredBody(measuring, body.value) : null
  // What cannot be drawn yet leaves the last body that could be where it is.
  const [last, setLast] = useState(drawn)
  if (drawn && JSON.stringify(drawn.lines) !== JSON.stringify(last?.lines)) setLast(drawn)
  const shown = drawn ?? last
  // Said under the drawing as well: a length may stand in the folded list.
  const wrong = new Set([
    ...(body && !body.ok ? [describeBody(body.refusal, wording)] : []),
    ...SEGMENT_NAMES.flatMap((segment) => problemOf(`measured.${segment}`) ?? []),
  ])
  const list = useRef<HTMLDetailsElement>(null)
  // What is not seen from the side is typed in the list.
  const ask = (segment: SegmentName): void => {
    if (shown?.lines.some((line) => line.segment === segment)) {
      setPicked(segment)
      return
    }
    if (list.current) list.current.open = true
    list.current?.querySelector<HTMLInputElement>(`input[name="${segment}"]`)?.focus()
  }
  const type = (segment: SegmentName, typed: string): void => onChange({ ...measured, [segment]: typed })
  return (
    <div>
      <Title order={2} mb={4}>
        What would a tape settle?
      </Title>
      {measuring.worth.length === 0 ? (
        <Text c="dimmed" size="sm" mb="xs">
          {body
            ? 'Nothing for what comes next: the rest may stay estimated.'
            : 'The height first: from it everything else is estimated.'}
        </Text>
      ) : (
        <List mb="xs">
          {measuring.worth.map((w) => (
            <ListItem key={w.length}>
              <Anchor component="button" type="button" fw={600} onClick={() => ask(w.length)}>
                {segmentName(w.length)}
              </Anchor>
              : could move “{placementLabel(w.placement).toLowerCase()}” by {length(w.movesCm, wording)} in{' '}
              {w.setup}
            </ListItem>
          ))}
        </List>
      )}
      {shown ? (
        <>
          <BodyLines
            drawn={shown}
            wording={wording}
            picked={picked}
            onPick={setPicked}
            typed={picked ? (measured[picked] ?? '') : ''}
            problem={picked ? problemOf(`measured.${picked}`) : undefined}
            onType={(typed) => (picked ? type(picked, typed) : undefined)}
          />
          <Text size="sm" mih={42} role="status" c={picked ? undefined : 'dimmed'}>
            {picked
              ? `${segmentName(picked)}. ${tapeFor(picked)}`
              : 'Bold is measured; thin is estimated from the height. Press a number and type what the tape says, then save.'}
          </Text>
        </>
      ) : null}
      {[...wrong].map((sentence) => (
        <Text key={sentence} role="alert" c="var(--warn-ink)">
          {sentence}
        </Text>
      ))}
      <details ref={list}>
        <summary>All lengths as a list</summary>
        <LengthTable {...{ stature, measured, problemOf }} onType={type} />
      </details>
    </div>
  )
}

/** The body as it is typed; null where no height can be read. What is not a length yet is left out. */
function bodyOf(stature: string, measured: Typed, units: LengthUnit): ReturnType<typeof estimateBody> | null {
  const height = parseLength(stature, STATURE_RANGE, units)
  if (!height.ok) return null
  const read = Object.entries(measured).flatMap(([name, typed]): [LengthName, number][] => {
    const cm = parseLength(typed, ANY_LENGTH, units)
    return cm.ok ? [[name as LengthName, cm.value]] : []
  })
  return estimateBody({ statureCm: height.value, measured: Object.fromEntries(read) })
}

/** A length of a body, before it is asked whose. */
const ANY_LENGTH = { minCm: 1, maxCm: 200 }

type TableProps = Pick<Props, 'stature' | 'measured' | 'problemOf'> & {
  onType: (segment: SegmentName, typed: string) => void
}

function LengthTable({ stature, measured, problemOf, onType }: TableProps) {
  const wording = useWording()
  const height = parseLength(stature, STATURE_RANGE, wording.units)
  return (
    <Table.ScrollContainer minWidth={420}>
      <Table verticalSpacing={4}>
        <Table.Thead>
          <Table.Tr>
            <Table.Th scope="col">Length</Table.Th>
            <Table.Th scope="col">Estimated</Table.Th>
            <Table.Th scope="col">Measured</Table.Th>
            <Table.Th scope="col">Where the tape goes</Table.Th>
          </Table.Tr>
        </Table.Thead>
        <Table.Tbody>
          {SEGMENT_NAMES.map((segment) => {
            const estimate = height.ok ? LENGTH_RATIO[segment] * height.value : null
            return (
              <Table.Tr key={segment}>
                <Table.Th scope="row" fw={500}>
                  {segmentName(segment)}
                </Table.Th>
                <Table.Td>
                  {estimate === null
                    ? 'height first'
                    : `${formatLength(estimate, wording.units)} ± ${formatLength(2 * SD_FRACTION * estimate, wording.units)}`}
                </Table.Td>
                <Table.Td>
                  <TextInput
                    size="sm"
                    w={130}
                    name={segment}
                    aria-label={`${segmentName(segment)}, measured`}
                    value={measured[segment] ?? ''}
                    error={problemOf(`measured.${segment}`)}
                    onChange={(e) => onType(segment, e.currentTarget.value)}
                  />
                </Table.Td>
                <Table.Td>{tapeFor(segment)}</Table.Td>
              </Table.Tr>
            )
          })}
        </Table.Tbody>
      </Table>
    </Table.ScrollContainer>
  )
}
