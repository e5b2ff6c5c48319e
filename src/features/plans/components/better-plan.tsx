'use client'

import { Button, Group, Progress, Text } from '@mantine/core'
import { useEffect, useRef, useState } from 'react'
import type { SearchTold } from '@/core/planning/search'
import { describeBetter, describeGap } from '@/core/words/better'
import { newId } from '@/device/facts'
import { FormProblem } from '@/ui/form-problem'
import { useSubmit } from '../../use-submit'
import { searchStart, takePlan } from '../search-actions'

type Better = Extract<SearchTold, { kind: 'better' }>
type Search = {
  print: number
  now: number[]
  done: number
  of: number
  running: boolean
  better: Better | null
  /** What no plan of the class can pass, points; null until it is known. */
  bound: number | null
}

/** Looks for a better plan beside the page. What is found is offered in words and never put in the place of the plan. */
export function BetterPlan({ classId }: { classId: string }) {
  const start = useSubmit(searchStart)
  const take = useSubmit(takePlan)
  const worker = useRef<Worker | null>(null)
  const prover = useRef<Worker | null>(null)
  const [search, setSearch] = useState<Search | null>(null)
  useEffect(
    () => () => {
      worker.current?.terminate()
      prover.current?.terminate()
    },
    [],
  )

  const stop = (): void => {
    worker.current?.terminate()
    worker.current = null
    setSearch((s) => s && { ...s, running: false })
  }
  const begin = async (): Promise<void> => {
    const asked = await start.send({ id: classId })
    if (!asked) return
    const now = Array.from({ length: 8 }, (_, tier) => asked.now?.[`tier-${tier}`] ?? 0)
    setSearch({ print: asked.print, now, done: 0, of: 1, running: true, better: null, bound: null })
    const made = new Worker(new URL('../../../workers/planner.worker.ts', import.meta.url), {
      type: 'module',
    })
    worker.current = made
    made.onmessage = ({ data }: MessageEvent<SearchTold>) => {
      if (data.kind === 'done') {
        stop()
        return
      }
      setSearch((s) => {
        if (!s) return s
        if (data.kind === 'progress') return { ...s, done: data.done, of: data.of }
        return sum(data.tiers) > sum(s.now) + 0.5 ? { ...s, better: data } : s
      })
    }
    made.onerror = stop
    made.postMessage({ model: asked.model, starts: asked.starts })
    prover.current?.terminate()
    const bounds = new Worker(new URL('../../../workers/bound.worker.ts', import.meta.url), {
      type: 'module',
    })
    prover.current = bounds
    bounds.onmessage = ({ data }: MessageEvent<{ bound: number | null }>) => {
      setSearch((s) => s && { ...s, bound: data.bound })
      bounds.terminate()
    }
    bounds.postMessage({ model: asked.model })
  }
  const keep = async (): Promise<void> => {
    if (!search?.better) return
    stop()
    const { print, better } = search
    if (await take.send({ id: classId, planId: newId(), print, state: copyOf(better.state) })) setSearch(null)
  }
  return (
    <section aria-label="A better plan" className="no-print">
      <FormProblem message={start.problemOf('') ?? take.problemOf('')} />
      {search === null ? (
        <Button loading={start.busy} onClick={() => void begin()}>
          Look for a better plan
        </Button>
      ) : (
        <Group align="center">
          <Progress
            w={160}
            value={search.running ? Math.min(99, (100 * search.done) / search.of) : 100}
            aria-label="How far the search is"
          />
          <Text role="status" style={{ flex: 1 }} miw={280}>
            {search.better
              ? describeBetter(search.now, search.better.tiers)
              : search.running
                ? 'Looking; the plan stays as it is.'
                : 'Nothing better found: the plan stays.'}
            {search.bound === null ? null : (
              <Text span c="dimmed">
                {' '}
                {describeGap(sum(search.better?.tiers ?? search.now), search.bound)}
              </Text>
            )}
          </Text>
          {search.better ? (
            <Button variant="filled" loading={take.busy} onClick={() => void keep()}>
              Take it
            </Button>
          ) : null}
          {search.running ? (
            <Button onClick={stop}>Stop looking</Button>
          ) : (
            <Button onClick={() => setSearch(null)}>Leave it</Button>
          )}
        </Group>
      )}
    </section>
  )
}

function sum(points: readonly number[]): number {
  return points.reduce((a, b) => a + b, 0)
}

function copyOf({ config, option }: Better['state']) {
  return { config: [...config], option: option.map((o) => [...o]) }
}
