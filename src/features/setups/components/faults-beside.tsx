'use client'

import { SimpleGrid, Text, Title } from '@mantine/core'
import { memo } from 'react'
import type { Body } from '@/core/body/estimate'
import { rightBesideWrong, type BesideFigures } from '@/core/mechanics/beside'
import { pictureOf, viewOf } from '@/core/figure/picture'
import { figureValue } from '@/core/words/figures'
import type { Wording } from '@/core/words/number'
import { SIGN_WORD } from '@/core/words/signs'
import { Figure } from '@/ui/figure/figure'
import type { SetupFacts } from '../queries'
import classes from './bench.module.css'

/** Four likely faults, each drawn right beside wrong on this body with the number that betrays it. */
export const FaultsBeside = memo(function FaultsBeside({
  facts,
  body,
  wording,
}: {
  facts: SetupFacts
  body: Body
  wording: Wording
}) {
  if (facts.faults.length === 0) return null
  return (
    <section aria-labelledby="faults">
      <Title order={2} id="faults" fz="xl" mb="xs">
        What goes wrong here
      </Title>
      <SimpleGrid cols={{ base: 1, sm: 2 }}>
        {facts.faults.map((fault) => {
          const pair = rightBesideWrong(fault.id, body)
          return (
            <article key={fault.id} className="card" aria-label={fault.name}>
              <Text fw={650}>{fault.name}</Text>
              {pair?.ok ? <Pair figures={pair.value} name={fault.name} wording={wording} /> : null}
              <Text size="sm">{fault.see}</Text>
              <Text size="sm">
                <strong>Say:</strong> {fault.cue}
              </Text>
            </article>
          )
        })}
      </SimpleGrid>
    </section>
  )
})

function Pair({
  figures: { right, wrong, sign },
  name,
  wording,
}: {
  figures: BesideFigures
  name: string
  wording: Wording
}) {
  const view = viewOf([right, wrong])
  const said = (value: number): string => figureValue(value, sign.unit, wording)
  return (
    <>
      <div className={classes.pair}>
        <figure>
          <Figure picture={pictureOf(right)} view={view} label="Right" plumb />
          <figcaption>Right: {said(sign.right)}</figcaption>
        </figure>
        <figure>
          <Figure picture={pictureOf(wrong)} view={view} label={name} plumb />
          <figcaption>Wrong: {said(sign.wrong)}</figcaption>
        </figure>
      </div>
      <Text size="sm" c="dimmed">
        {SIGN_WORD[sign.key] ?? sign.key}
      </Text>
    </>
  )
}
