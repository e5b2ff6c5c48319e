import { Group, Text } from '@mantine/core'
import type { Picture } from '@/core/figure/picture'
import type { LoadRange } from '@/core/mechanics/contacts'
import type { shareOf } from '@/core/weighing/calibrate'
import { percent } from '@/core/words/number'
import { Figure } from '@/ui/figure/figure'
import classes from './on-scale.module.css'

type BarProps = { model: LoadRange; weighed: number | null }

/** The shape with the scale under its part, and beside it the share. */
export function OnScale({ picture, label, ...bar }: BarProps & { picture: Picture | null; label: string }) {
  return (
    <Group align="flex-end" gap="lg">
      {picture ? <Figure picture={picture} height={150} label={label} /> : null}
      <ShareBar {...bar} />
    </Group>
  )
}

/** The share as a bar: what the model says, what balance alone would allow, and what was weighed. */
function ShareBar({ model, weighed }: BarProps) {
  const said = weighed === null ? 'nothing weighed yet' : `weighed ${percent(weighed)}`
  return (
    <div className={classes.frame} role="img" aria-label={`Reckoned ${percent(model.value)}, ${said}`}>
      <div className={classes.bar}>
        <span
          className={classes.range}
          style={{ left: at(model.min), width: at(Math.max(0.01, model.max - model.min)) }}
        />
        <span className={classes.weighed} style={{ width: at(weighed ?? 0) }} />
        <span className={classes.model} style={{ left: at(model.value) }} />
      </div>
      <div className={classes.ends}>
        <span>0 %</span>
        <span>all of the weight</span>
      </div>
    </div>
  )
}

function at(share: number): string {
  return `${Math.min(1, Math.max(0, share)) * 100}%`
}

/** From this on, balance alone leaves so much open that it is said, share of body weight. */
const OPEN = 0.04

/** What two readings say, beside what was reckoned. */
export function ShareSaid({ share, model }: { share: ReturnType<typeof shareOf>; model: LoadRange | null }) {
  if (!share.ok)
    return <Text role="alert">The second reading has to be a part of the first. Measure again?</Text>
  const open = model !== null && model.max - model.min > OPEN
  return (
    <Text role="status">
      That is {percent(share.value)} of body weight
      {model ? `; the model says ${percent(model.value)}` : ''}
      {open ? `, and anything from ${percent(model.min)} to ${percent(model.max)} balances` : ''}.
    </Text>
  )
}

/** A change smaller than this is the same figure to anybody, share of body weight. */
const SAME = 0.005

/** What a share changed for the part that was weighed, once it is kept. */
export function whatItChanged(before: number | undefined, after: number | undefined): string {
  if (before === undefined || after === undefined) return ''
  return Math.abs(after - before) < SAME
    ? 'It is what was reckoned before.'
    : `The part was reckoned at ${percent(before)} before and is at ${percent(after)} now; every other load of this person moved with it.`
}
