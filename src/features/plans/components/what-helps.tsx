'use client'

import { Button, List, ListItem, Text } from '@mantine/core'
import { useRef, useState } from 'react'
import { FormProblem } from '@/ui/form-problem'
import { useSubmit } from '../../use-submit'
import { askOtherwise } from '../otherwise-actions'

const ASKED = [
  { change: 'people', word: 'two more people' },
  { change: 'pieces', word: 'more props' },
  { change: 'minutes', word: 'ten minutes more' },
  { change: 'bay', word: 'a place at the wall more' },
  { change: 'helper', word: 'a trained helper' },
  { change: 'family', word: 'one family fewer' },
] as const

type Line = { line: string; gain: number }

/** What holds the class back: it is planned once more with one thing changed at a time, and the answers stand by their worth. */
export function WhatHelps({ classId }: { classId: string }) {
  const { problemOf, send } = useSubmit(askOtherwise)
  const [asking, setAsking] = useState<string | null>(null)
  const [lines, setLines] = useState<Line[] | null>(null)
  const under = useRef<AbortController | null>(null)
  const ask = async (): Promise<void> => {
    const run = new AbortController()
    under.current = run
    setLines([])
    for (const { change, word } of ASKED) {
      if (run.signal.aborted) break
      setAsking(word)
      const told = await send({ id: classId, change })
      if (!told) break
      if (told.line !== '') setLines((all) => [...(all ?? []), told].sort((a, b) => b.gain - a.gain))
    }
    setAsking(null)
  }
  return (
    <section aria-label="What would help" className="no-print">
      <FormProblem message={problemOf('')} />
      {asking === null ? (
        <Button onClick={() => void ask()}>{lines === null ? 'What would help?' : 'Ask again'}</Button>
      ) : (
        <Button onClick={() => under.current?.abort()}>Stop asking</Button>
      )}
      <div role="status">
        {asking === null ? null : <Text mt="xs">Trying {asking} …</Text>}
        {lines !== null && asking === null && lines.every((l) => l.gain === 0) ? (
          <Text mt="xs">
            Neither more props nor minutes, wall or hands would change much: people and steps decide here.
          </Text>
        ) : null}
      </div>
      {lines && lines.length > 0 ? (
        <List mt="xs">
          {lines.map(({ line }) => (
            <ListItem key={line}>{line}</ListItem>
          ))}
        </List>
      ) : null}
    </section>
  )
}
