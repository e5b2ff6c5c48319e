'use client'

import { Text } from '@mantine/core'
import { memo, useMemo } from 'react'
import type { Body } from '@/core/body/estimate'
import { pictureOf, viewOf } from '@/core/figure/picture'
import type { Stock } from '@/core/props/stock'
import { findSetup, solveSetup } from '@/core/setups/catalogue'
import type { SetupSolution } from '@/core/setups/setup'
import { whyHere } from '@/core/setups/why'
import { describeBecause } from '@/core/words/figures'
import type { Wording } from '@/core/words/number'
import { Figure } from '@/ui/figure/figure'
import { Section } from '@/ui/section'
import classes from './bench.module.css'

type Props = { solution: SetupSolution; body: Body; stock: Stock; wording: Wording }

/** What a little more or less of each distance does to this body: now beside moved, with the figure it moves most. */
export const WhyPanel = memo(function WhyPanel({ solution, body, stock, wording }: Props) {
  const options = useMemo(() => findSetup(solution.id)?.options ?? [], [solution.id])
  const reasons = useMemo(
    () =>
      whyHere(solution, options, body, stock).flatMap((because) => {
        const tried = solveSetup(
          solution.id,
          body,
          { ...solution.options, [because.option]: because.to },
          stock,
        )
        return tried.ok ? [{ because, moved: tried.value.target }] : []
      }),
    [solution, options, body, stock],
  )
  return (
    <Section title="What a little more or less does" fz="xl" mb="xs">
      {reasons.length === 0 ? (
        <Text c="dimmed">
          Nothing here moves a load or an angle by enough to feel: set it where it is comfortable.
        </Text>
      ) : (
        <div className={classes.tiles}>
          {reasons.map(({ because, moved }) => {
            const option = options.find((o) => o.key === because.option)
            const view = viewOf([solution.target, moved])
            return (
              <article key={because.option} className="card" aria-label={option?.label ?? because.option}>
                <Text fw={650}>{option?.label ?? because.option}</Text>
                <div className={classes.pair}>
                  <figure>
                    <Figure picture={pictureOf(solution.target)} view={view} label="As it is" plumb />
                    <figcaption>As it is</figcaption>
                  </figure>
                  <figure>
                    <Figure picture={pictureOf(moved)} view={view} label="Moved" plumb />
                    <figcaption>Moved</figcaption>
                  </figure>
                </div>
                <Text>{describeBecause(because, wording, option?.choices)}</Text>
              </article>
            )
          })}
        </div>
      )}
    </Section>
  )
})
