'use client'

import {
  Button,
  FileInput,
  Group,
  Progress,
  SegmentedControl,
  Select,
  Stack,
  Text,
  Title,
} from '@mantine/core'
import { useState } from 'react'
import { FIELDS, missingColumns, rowBy, TABLES, type TableKind } from '@/core/formats/table-in'
import { count } from '@/core/words/number'
import type { Problem } from '../../answer'
import { useTable, type Told } from '../use-table'

const NONE = '-1'
const LABELS: Readonly<Record<TableKind, string>> = {
  students: 'Students',
  results: 'Results',
  attendance: 'Attendance',
}

/** A table from a spreadsheet: its columns are named, every row is looked through, and then all of it is stored, or nothing. */
export function BringTable() {
  const [kind, setKind] = useState<TableKind>('students')
  const { table, columns, problems, done, read, kept, open, choose, setColumn, look, keep, stop } =
    useTable(kind)
  const missing = table ? missingColumns(kind, columns) : []
  return (
    <section className="card" aria-label="Bring a table in">
      <Stack gap="sm" align="flex-start">
        <Title order={2}>Bring a table in</Title>
        <Text>From any spreadsheet, saved as CSV. Nothing is stored before every row can be read.</Text>
        <SegmentedControl
          aria-label="What the table holds"
          value={kind}
          data={TABLES.map((value) => ({ value, label: LABELS[value] }))}
          onChange={(value) => {
            const next = TABLES.find((t) => t === value) ?? 'students'
            setKind(next)
            choose(next)
          }}
        />
        <FileInput
          label="The table"
          placeholder="Choose a file"
          accept=".csv,.tsv,.txt,text/csv"
          w={320}
          onChange={(file) => void open(file)}
        />
        {table ? (
          <>
            <Group align="flex-end">
              {FIELDS[kind].map(({ key, label, needed }) => (
                <Select
                  key={key}
                  label={needed ? label : `${label}, if there`}
                  w={190}
                  value={String(columns[key] ?? -1)}
                  data={[
                    { value: NONE, label: 'no column' },
                    ...table.headings.map((heading, i) => ({
                      value: String(i),
                      label: heading || `column ${i + 1}`,
                    })),
                  ]}
                  onChange={(value) => setColumn(key, Number(value ?? NONE))}
                />
              ))}
            </Group>
            <Text c="dimmed">
              {count(table.rows.length, 'row')} in {table.name}. The first:{' '}
              {FIELDS[kind]
                .map(
                  ({ key, label }) =>
                    `${label.toLowerCase()} “${rowBy(kind, columns, table.rows[0] ?? [])[key] ?? ''}”`,
                )
                .join(', ')}
              .
            </Text>
            {missing.length > 0 ? <Text>Say which column is: {missing.join(', ')}.</Text> : null}
            {done === null ? (
              <Group>
                <Button
                  variant={read ? 'default' : 'filled'}
                  disabled={missing.length > 0 || table.rows.length === 0}
                  onClick={() => void look()}
                >
                  Look through it
                </Button>
                {read && read.fresh > 0 ? (
                  <Button variant="filled" onClick={() => void keep()}>
                    Bring in {count(read.fresh, 'row')}
                  </Button>
                ) : null}
              </Group>
            ) : (
              <Group>
                <Progress w={220} value={100 * done} aria-label="How far it is" />
                {done < 1 ? <Button onClick={stop}>Stop</Button> : null}
              </Group>
            )}
            <Outcome problems={problems} read={read} kept={kept} />
          </>
        ) : null}
      </Stack>
    </section>
  )
}

function Outcome({
  problems,
  read,
  kept,
}: {
  problems: readonly Problem[]
  read: Told | null
  kept: Told | null
}) {
  if (problems.length > 0)
    return (
      <div role="alert">
        <Text fw={600}>Nothing was stored.</Text>
        {problems.map(({ message }) => (
          <Text key={message}>{message}</Text>
        ))}
      </div>
    )
  const told = kept ?? read
  if (!told) return null
  const known = told.known > 0 ? `, ${told.known} there already and left alone` : ''
  return (
    <Text role="status" fw={600}>
      {kept ? `${told.fresh} brought in${known}.` : `Every row can be read: ${told.fresh} new${known}.`}
    </Text>
  )
}
