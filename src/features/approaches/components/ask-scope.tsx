'use client'

import { Button, Group, Text } from '@mantine/core'
import type { Disagreement } from '@/core/approaches/disagree'
import { optionName } from '@/core/words/approach'
import { FormProblem } from '@/ui/form-problem'
import { useSubmit } from '../../use-submit'
import { choose } from '../actions'

/** A hand did something else than the setting says: is that for always, for the next class, or for this person? */
export function AskScope({
  asked,
  person,
  nextClass,
  onDone,
}: {
  asked: Disagreement
  person: { id: string; name: string } | null
  nextClass: { id: string; title: string } | null
  onDone: () => void
}) {
  const { busy, problemOf, send } = useSubmit(choose)
  const keep = (scope: 'teacher' | 'class' | 'student', scopeId: string): void => {
    void send({ scope, scopeId, approach: asked.approach, option: asked.wants }).then((stored) => {
      if (!stored) return
      onDone()
    })
  }
  return (
    <div className="card" role="status">
      <Text mb={6}>
        That is “{optionName(asked.wants).toLowerCase()}”; usually it is “
        {optionName(asked.now).toLowerCase()}” here. Keep it?
      </Text>
      <FormProblem message={problemOf('')} />
      <Group gap="xs">
        <Button disabled={busy} onClick={() => keep('teacher', '')}>
          Always
        </Button>
        {nextClass ? (
          <Button disabled={busy} onClick={() => keep('class', nextClass.id)}>
            For {nextClass.title}
          </Button>
        ) : null}
        {person ? (
          <Button disabled={busy} onClick={() => keep('student', person.id)}>
            Only {person.name.split(' ')[0]}
          </Button>
        ) : null}
        <Button variant="subtle" c="var(--ink)" onClick={onDone}>
          Just now
        </Button>
      </Group>
    </div>
  )
}
