'use client'

import { Button } from '@mantine/core'
import { useDisclosure } from '@mantine/hooks'
import { memo } from 'react'
import type { TeachData } from '../queries'
import { EmergencyCard } from './emergency'
import classes from './class-foot.module.css'

type Props = {
  at: number
  /** Index of the block that comes; negative in the last. */
  next: number
  title: string
  paused: boolean
  lines: TeachData['emergency']
  happen: (event: 'block' | 'ended' | 'paused' | 'resumed' | 'more', blockIndex: number) => void
}

/**
 * What a hand finds without looking, however long the list of people is: it never moves, and nothing lies over it. Not drawn
 * again by the ticking clock, since on a slow tablet a tap waits for whatever is being drawn. The emergency card opens above
 * its button.
 */
export const ClassFoot = memo(function ClassFoot({ at, next, title, paused, lines, happen }: Props) {
  const [isCardOpen, { toggle }] = useDisclosure()
  return (
    <div className={classes.foot} role="group" aria-label="The class">
      {isCardOpen ? <EmergencyCard lines={lines} /> : null}
      <div className={classes.row}>
        <Button
          size="md"
          mih={48}
          variant={paused ? 'filled' : 'default'}
          onClick={() => happen(paused ? 'resumed' : 'paused', at)}
        >
          {paused ? 'Go on' : 'Pause'}
        </Button>
        <Button size="md" mih={48} disabled={paused} onClick={() => happen('more', at)}>
          A minute more
        </Button>
        <Button
          className={classes.next}
          variant="filled"
          size="md"
          mih={48}
          onClick={() => goOn(happen, at, next)}
        >
          {next < 0 ? 'End the class' : `Next: ${title}`}
        </Button>
        <Button
          size="md"
          mih={48}
          color="clay"
          variant="outline"
          c="var(--warn-ink)"
          aria-expanded={isCardOpen}
          onClick={toggle}
        >
          {isCardOpen ? 'Close the card' : 'Emergency card'}
        </Button>
      </div>
    </div>
  )
})

/** To the block that comes, or over. */
export function goOn(
  happen: (event: 'block' | 'ended', blockIndex: number) => void,
  at: number,
  next: number,
): void {
  if (next < 0) happen('ended', at)
  else happen('block', next)
}
