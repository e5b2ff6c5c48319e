import { Text } from '@mantine/core'
import type { RoundCheck, RoundPerson } from '../round-queries'

type Asked = { check: Pick<RoundCheck, 'names'>; person: Pick<RoundPerson, 'wayOut'> }

/** The way out that somebody shows in a check about one; null in any other. */
export function wayOutFor(check: Asked['check'], { wayOut }: Asked['person']): RoundPerson['wayOut'] {
  return check.names === 'exit' ? wayOut : null
}

/** Says it beside the value: a result speaks for the way out that was shown and for no other. */
export function WayOut({ check, person }: Asked) {
  const shown = wayOutFor(check, person)
  return shown ? <Text size="sm">Way out: {shown.name.toLowerCase()}</Text> : null
}
