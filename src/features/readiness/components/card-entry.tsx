'use client'

import { Button, Group, Text, TextInput } from '@mantine/core'
import { useRef, useState } from 'react'
import type { Stamp } from '@/core/facts/stamp'
import { newStamp } from '@/device/facts'
import { FormProblem } from '@/ui/form-problem'
import { FormShell } from '@/ui/form-shell'
import { TextLink } from '@/ui/text-link'
import { useSubmit } from '../../use-submit'
import { recordCard } from '../actions'
import type { CardData } from '../round-queries'
import { CardHead } from './card-head'
import { CardChooser } from './card-chooser'
import { WayOut, wayOutFor } from './way-out'
import classes from './check-card.module.css'

/** The card copied in: a cell a result, Tab goes along the row, one press stores everything. */
export function CardEntry({ card }: { card: CardData }) {
  const [typed, setTyped] = useState<Readonly<Record<string, string>>>({})
  const [observer, setObserver] = useState('')
  const [stored, setStored] = useState(0)
  // The same stamps are sent until the card is stored, so that pressing twice stores it once.
  const stamps = useRef(new Map<string, Stamp>())
  const { busy, problems, problemOf, send } = useSubmit(recordCard)
  const filled = Object.entries(typed).filter(([, text]) => text.trim() !== '')

  const exitOf = (studentId: string, checkId: string): string | null => {
    const check = card.checks.find((c) => c.id === checkId)
    const person = card.people.find((p) => p.id === studentId)
    return (check && person && wayOutFor(check, person)?.id) ?? null
  }
  const submit = async (): Promise<void> => {
    const cells: Parameters<typeof recordCard>[0]['cells'] = []
    for (const [key, text] of filled) {
      const [studentId = '', checkId = ''] = key.split(' ')
      const stamp = stamps.current.get(key) ?? (await newStamp())
      stamps.current.set(key, stamp)
      cells.push({ ...stamp, studentId, checkId, typed: text, exitId: exitOf(studentId, checkId) })
    }
    const answer = await send({ classId: card.classId, observer, cells })
    if (!answer) return
    stamps.current.clear()
    setStored(answer.stored)
    setTyped({})
  }
  return (
    <FormShell onSubmit={submit}>
      <Group align="flex-end" className="no-print">
        <TextInput
          label="Who watched and wrote"
          placeholder="Each other, in pairs"
          maxLength={80}
          value={observer}
          onChange={(e) => setObserver(e.currentTarget.value)}
        />
        <div style={{ flex: 1, minWidth: 280 }}>
          <CardChooser card={card} at="enter" />
        </div>
      </Group>
      <Text>
        A value, <strong>left/right</strong> where there are sides, then the letters that were ringed and{' '}
        <strong>+</strong> for an aid: <strong>34 a</strong>, <strong>6/5</strong>, <strong>y</strong>.
      </Text>
      <FormProblem message={problemOf('') ?? problemOf('observer')} />
      {problems.length > 1 ? (
        <Text role="alert">{problems.length} cells cannot be read; nothing was stored yet.</Text>
      ) : null}
      <div className={classes.scroller}>
        <table className={classes.card}>
          <CardHead checks={card.checks} legend />
          <tbody>
            {card.people.map((p, i) => (
              <tr key={p.id} data-first={i % 2 === 0}>
                <td>{p.pair}</td>
                <th scope="row">
                  <TextLink href={`/readiness/${p.id}`}>{p.name}</TextLink>
                </th>
                {card.checks.map((c) => {
                  const key = `${p.id} ${c.id}`
                  return (
                    <td key={c.id} className={classes.cell}>
                      <TextInput
                        aria-label={`${p.name}, ${c.name}`}
                        placeholder={c.example}
                        maxLength={40}
                        w={130}
                        value={typed[key] ?? ''}
                        error={problemOf(key)}
                        onChange={(e) => {
                          const text = e.currentTarget.value
                          setTyped((all) => ({ ...all, [key]: text }))
                        }}
                      />
                      <WayOut check={c} person={p} />
                    </td>
                  )
                })}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <Group>
        <Button variant="filled" type="submit" loading={busy} disabled={filled.length === 0}>
          {filled.length === 0 ? 'Store the card' : `Store ${filled.length} results`}
        </Button>
        <Text role="status">{stored > 0 && filled.length === 0 ? `${stored} results stored.` : ''}</Text>
      </Group>
    </FormShell>
  )
}
