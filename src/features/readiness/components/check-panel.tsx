'use client'

import { Button, Group, Select, Stack, Text } from '@mantine/core'
import { useEffect, useRef, useState } from 'react'
import type { HistoryEntry, PersonReadiness } from '../person-queries'
import { CheckForm } from './check-form'
import { DolphinHoldForm } from './dolphin-hold-form'
import { History } from './history'
import { Notice } from '@/ui/notice'

/** Pick a check, record it; below, everything recorded so far, each line correctable. */
export function CheckPanel({
  person,
}: {
  person: Pick<
    PersonReadiness,
    'id' | 'breathS' | 'spans' | 'checks' | 'exits' | 'wayOut' | 'faults' | 'history' | 'holds'
  >
}) {
  const [checkId, setCheckId] = useState(
    person.checks.some((c) => c.id === 'CK-dolphin-hold') ? 'CK-dolphin-hold' : (person.checks[0]?.id ?? ''),
  )
  const [correcting, setCorrecting] = useState<HistoryEntry | null>(null)
  const check = person.checks.find((c) => c.id === checkId)
  const replaces = correcting?.id ?? null
  const finish = (): void => setCorrecting(null)
  // The form stands above the history: who presses Correct is taken to it.
  const shown = useRef<HTMLDivElement>(null)
  useEffect(() => {
    if (replaces === null) return
    shown.current?.focus()
    shown.current?.scrollIntoView({ block: 'center' })
  }, [replaces])

  return (
    <Stack gap="lg">
      <Select
        label="Check"
        maw={420}
        data={person.checks.map((c) => ({ value: c.id, label: c.name }))}
        value={checkId}
        disabled={correcting !== null}
        onChange={(id) => setCheckId(id ?? checkId)}
      />
      {check ? (
        <Text maw={560}>
          <strong>{check.asks}</strong> {check.run}
        </Text>
      ) : null}
      {correcting ? (
        <Notice
          ref={shown}
          tabIndex={-1}
          tone="slate"
          title={`Correcting ${correcting.check} of ${correcting.dayLabel}: ${correcting.result}`}
        >
          <Group>
            <Text>The earlier entry stays in the record, replaced by this one.</Text>
            <Button size="sm" onClick={finish}>
              Leave it as it was
            </Button>
          </Group>
        </Notice>
      ) : null}
      {checkId === 'CK-dolphin-hold' ? (
        <DolphinHoldForm
          key={replaces}
          studentId={person.id}
          breathS={person.breathS}
          faults={person.faults}
          corrects={correcting}
          onSaved={finish}
        />
      ) : check ? (
        <CheckForm
          key={`${check.id} ${replaces ?? ''}`}
          studentId={person.id}
          check={check}
          spans={person.spans}
          exits={person.exits}
          wayOut={person.wayOut}
          corrects={correcting}
          onSaved={finish}
        />
      ) : null}
      <History
        studentId={person.id}
        entries={person.history}
        holds={person.holds}
        onCorrect={(entry) => {
          setCheckId(entry.checkId)
          setCorrecting(entry)
        }}
      />
    </Stack>
  )
}
