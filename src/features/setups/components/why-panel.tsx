'use client'

import { List, Text, Title } from '@mantine/core'
import { memo, useMemo } from 'react'
import type { Body } from '@/core/body/estimate'
import type { Stock } from '@/core/props/stock'
import { findSetup } from '@/core/setups/catalogue'
import type { SetupSolution } from '@/core/setups/setup'
import { whyHere } from '@/core/setups/why'
import { describeBecause } from '@/core/words/figures'
import type { Wording } from '@/core/words/number'

type Props = { solution: SetupSolution; body: Body; stock: Stock; wording: Wording }

/** Short computed sentences: what each option does to this body, one figure each. */
export const WhyPanel = memo(function WhyPanel({ solution, body, stock, wording }: Props) {
  const options = useMemo(() => findSetup(solution.id)?.options ?? [], [solution.id])
  const reasons = useMemo(() => whyHere(solution, options, body, stock), [solution, options, body, stock])
  return (
    <section aria-labelledby="why">
      <Title order={2} id="why" fz="xl" mb={4}>
        Why there
      </Title>
      {reasons.length === 0 ? (
        <Text c="dimmed">Nothing here moves a figure that matters.</Text>
      ) : (
        <List spacing={4}>
          {reasons.map((b) => (
            <List.Item key={b.option}>
              {describeBecause(b, wording, options.find((o) => o.key === b.option)?.label ?? b.option)}
            </List.Item>
          ))}
        </List>
      )}
    </section>
  )
})
