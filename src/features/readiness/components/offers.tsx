'use client'

import { Button, Group, Stack, Text } from '@mantine/core'
import { FormProblem } from '@/ui/form-problem'
import { TextLink } from '@/ui/text-link'
import { Section } from '@/ui/section'
import { useFact } from '../../use-fact'
import type { BoardData, Offer } from '../board-queries'

/** First solo tries that wait for the teacher’s own look: no plan has them before. */
export function OffersToLookAt({ offers }: Pick<BoardData, 'offers'>) {
  if (offers.length === 0) return null
  return (
    <Section title="New offers to look at" className="card">
      <Text c="dimmed" size="sm" mb="xs">
        First solo kicks, free balances and head loads: no plan has them before you have looked.
      </Text>
      <Stack gap="xs">
        {offers.map((offer) => (
          <Line key={`${offer.studentId} ${offer.stageId}`} offer={offer} />
        ))}
      </Stack>
    </Section>
  )
}

function Line({ offer }: { offer: Offer }) {
  const { busy, problemOf, save } = useFact()
  const answer = (said: 'accept' | 'hold-back'): void => {
    const { studentId, stageId } = offer
    void save({ kind: 'offer', studentId, stageId, answer: said, reason: null })
  }
  return (
    <Group role="group" aria-label={`${offer.name}, ${offer.stage}`} justify="space-between">
      <Text flex={1} miw={240}>
        <TextLink href={`/readiness/${offer.studentId}?family=${offer.family}`}>
          {offer.name.split(' ')[0]}’s
        </TextLink>{' '}
        {offer.stage}
        {offer.answered === '' ? '' : `. ${offer.answered}`}
      </Text>
      <FormProblem message={problemOf('')} />
      <Button disabled={busy} onClick={() => answer('accept')}>
        Looked: go ahead
      </Button>
      <Button variant="subtle" c="var(--ink)" disabled={busy} onClick={() => answer('hold-back')}>
        Hold back
      </Button>
    </Group>
  )
}
