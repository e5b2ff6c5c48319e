'use client'

import { TextInput } from '@mantine/core'
import { useState } from 'react'
import { Figure } from '@/ui/figure/figure'
import { FormProblem } from '@/ui/form-problem'
import type { Answer } from '../../answer'
import { useFact } from '../../use-fact'
import { useSubmit } from '../../use-submit'
import type { ByEyeData, EyePerson, EyeRung } from '../by-eye-queries'
import classes from './by-eye-list.module.css'
import { LadderMark } from './ladder-mark'

export type SaveHeight = (input: { id: string; stature: string }) => Promise<Answer<boolean>>

/** A whole list at once: a height to type and a rung to tap for each; whoever is not known is left to the door. */
export function ByEyeList({
  rungs,
  people,
  saveHeight,
}: Pick<ByEyeData, 'rungs' | 'people'> & {
  /** From the people's part of the house. */
  saveHeight: SaveHeight
}) {
  return (
    <div className={classes.scroll} role="region" aria-label="People and rungs" tabIndex={0}>
      <table className={classes.list}>
        <thead>
          <tr>
            <th scope="col">Name</th>
            <th scope="col">Height</th>
            {rungs.map((rung) => (
              <th key={rung.stageId} scope="col">
                {rung.picture ? <Figure picture={rung.picture} height={46} /> : null}
                {rung.name}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {people.map((person) => (
            <Line key={person.id} person={person} rungs={rungs} saveHeight={saveHeight} />
          ))}
        </tbody>
      </table>
    </div>
  )
}

function Line({
  person,
  rungs,
  saveHeight,
}: {
  person: EyePerson
  rungs: readonly EyeRung[]
  saveHeight: SaveHeight
}) {
  const placing = useFact()
  const [picked, setPicked] = useState<string | null>(null)
  const pick = (stageId: string): void => {
    const before = picked
    setPicked(stageId)
    void placing.save({ kind: 'placement', studentId: person.id, stageId }).then((stored) => {
      if (!stored) setPicked(before)
    })
  }
  return (
    <tr>
      <th scope="row">
        <span className={classes.name}>
          <LadderMark held={person.held} at={person.at} />
          {person.name}
        </span>
        <FormProblem message={placing.problemOf('')} />
      </th>
      <td>
        <Height person={person} saveHeight={saveHeight} />
      </td>
      {rungs.map((rung) => (
        <td key={rung.stageId}>
          <label className={classes.pick} data-closed={person.closed.includes(rung.stageId)}>
            <input
              type="radio"
              name={`rung ${person.id}`}
              checked={picked === rung.stageId}
              aria-label={`${person.name}: ${rung.name}${person.closed.includes(rung.stageId) ? ', closed for now' : ''}`}
              disabled={person.closed.includes(rung.stageId)}
              onChange={() => pick(rung.stageId)}
            />
          </label>
        </td>
      ))}
    </tr>
  )
}

/** Stored when the field is left; what was typed stays, whatever comes of it. */
function Height({ person, saveHeight }: { person: EyePerson; saveHeight: SaveHeight }) {
  const [typed, setTyped] = useState(person.stature)
  const [stored, setStored] = useState(person.stature)
  const { send, problemOf } = useSubmit(saveHeight)
  const leave = (): void => {
    if (typed === stored) return
    void send({ id: person.id, stature: typed }).then((kept) => {
      if (kept) setStored(typed)
    })
  }
  return (
    <TextInput
      aria-label={`Height of ${person.name}`}
      w={104}
      placeholder="168 cm"
      value={typed}
      error={problemOf('stature') ?? problemOf('')}
      onChange={(e) => setTyped(e.currentTarget.value)}
      onBlur={leave}
    />
  )
}
