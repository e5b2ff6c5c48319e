'use client'

import { Button, Table, Text } from '@mantine/core'
import { FormProblem } from '@/ui/form-problem'
import { Section } from '@/ui/section'
import { useFact } from '../../use-fact'
import type { TryEntry } from '../person-queries'

/** Rows before the rest is folded away. */
const SHOWN = 8

/** Tries of this family, newest first, each of which can be taken back. */
export function Tries({ studentId, tries }: { studentId: string; tries: readonly TryEntry[] }) {
  if (tries.length === 0) return null
  const [first, rest] = [tries.slice(0, SHOWN), tries.slice(SHOWN)]
  return (
    <Section title="Tries" fz="xl" mb="xs">
      <Rows studentId={studentId} tries={first} />
      {rest.length === 0 ? null : (
        <details>
          <summary>{rest.length} earlier</summary>
          <Rows studentId={studentId} tries={rest} />
        </details>
      )}
    </Section>
  )
}

function Rows({ studentId, tries }: { studentId: string; tries: readonly TryEntry[] }) {
  const { busy, problemOf, save } = useFact()
  return (
    <>
      <FormProblem message={problemOf('')} />
      <Table.ScrollContainer minWidth={420}>
        <Table verticalSpacing="xs" horizontalSpacing={6}>
          <Table.Thead>
            <Table.Tr>
              <Table.Th scope="col">Day</Table.Th>
              <Table.Th scope="col">Stage and setup</Table.Th>
              <Table.Th scope="col">What came of it</Table.Th>
              <Table.Th scope="col">Put right</Table.Th>
            </Table.Tr>
          </Table.Thead>
          <Table.Tbody>
            {tries.map((t) => (
              <Table.Tr key={t.id}>
                <Table.Td>{t.dayLabel}</Table.Td>
                <Table.Td>
                  {t.stage}
                  {t.setup === '' ? null : (
                    <Text size="sm" c="dimmed">
                      {t.setup}
                    </Text>
                  )}
                </Table.Td>
                <Table.Td>{[t.result, ...t.faults].join(' · ')}</Table.Td>
                <Table.Td>
                  <Button
                    size="xs"
                    variant="subtle"
                    c="var(--ink)"
                    disabled={busy}
                    aria-label={`Take back the try at ${t.stage} of ${t.dayLabel}`}
                    onClick={() => void save({ kind: 'taken-back', of: 'attempt', studentId, target: t.id })}
                  >
                    Take back
                  </Button>
                </Table.Td>
              </Table.Tr>
            ))}
          </Table.Tbody>
        </Table>
      </Table.ScrollContainer>
    </>
  )
}
