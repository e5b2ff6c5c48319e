'use client'

import { Stack, Text } from '@mantine/core'
import { memo } from 'react'
import type { Body } from '@/core/body/estimate'
import { rightBesideWrong, type BesideFigures } from '@/core/mechanics/beside'
import { pictureOf, viewOf } from '@/core/figure/picture'
import { figureValue } from '@/core/words/figures'
import type { Wording } from '@/core/words/number'
import { SIGN_WORD } from '@/core/words/signs'
import { Figure } from '@/ui/figure/figure'
import { Section } from '@/ui/section'
import type { SetupFacts } from '../queries'
import classes from './bench.module.css'

/** Likely faults, drawn right beside wrong on this body with the number that betrays each; what cannot be drawn is told. */
export const FaultsBeside = memo(function FaultsBeside({
  facts,
  body,
  wording,
}: {
  facts: SetupFacts
  body: Body
  wording: Wording
}) {
  const drawn = facts.faults.map((fault) => ({ fault, pair: rightBesideWrong(fault.id, body) }))
  const told = drawn.filter(({ pair }) => !pair?.ok)
  return (
    <Section title="What goes wrong here" fz="xl" mb="xs">
      {facts.faults.length === 0 ? <Text c="dimmed">Nothing that the practice names.</Text> : null}
      <div className={classes.tiles}>
        {drawn.map(({ fault, pair }) =>
          pair?.ok ? (
            <article key={fault.id} className="card" aria-label={fault.name}>
              <Text fw={650}>{fault.name}</Text>
              <Pair figures={pair.value} name={fault.name} wording={wording} />
              <Words fault={fault} />
            </article>
          ) : null,
        )}
      </div>
      {told.map(({ fault }) => (
        <Stack key={fault.id} gap={0} mt="md">
          <Text fw={650}>{fault.name}</Text>
          <Words fault={fault} />
        </Stack>
      ))}
    </Section>
  )
})

function Words({ fault }: { fault: SetupFacts['faults'][number] }) {
  return (
    <>
      <Text size="sm">{fault.see}</Text>
      <Text size="sm">
        <strong>Say:</strong> {fault.cue}
      </Text>
    </>
  )
}

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
