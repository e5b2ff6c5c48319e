import { Text } from '@mantine/core'
import { HOME_LEFT_OUT, HOME_NEVER, HOME_NEW, HOME_STOP, homeLead } from '@/core/words/home'
import { Figure } from '@/ui/figure/figure'
import type { HomeItemView, HomeSheetView } from '../queries'
import classes from './home.module.css'

/** A week at home on one page: what, how much, where hands go, when to stop. */
export function HomeSheet({ sheet }: { sheet: HomeSheetView }) {
  return (
    <>
      <Text>
        {homeLead(
          sheet.minutes,
          sheet.days.map((d) => d.label),
        )}
      </Text>
      <ol className={classes.items} aria-label="What to do">
        {sheet.items.map((item) => (
          <Item key={item.id} item={item} />
        ))}
      </ol>
      <Text fw={600} mt="sm">
        {HOME_STOP}
      </Text>
      <Text>{HOME_NEVER}</Text>
      {sheet.instead.map((line) => (
        <Text key={line} size="sm">
          {line}
        </Text>
      ))}
    </>
  )
}

function Item({ item }: { item: HomeItemView }) {
  if (item.closed)
    return (
      <li data-closed>
        <span />
        <div>
          <strong>{item.name}</strong>
          <Text>{HOME_LEFT_OUT}</Text>
        </div>
      </li>
    )
  return (
    <li>
      <div>{item.picture ? <Figure picture={item.picture} height={72} /> : null}</div>
      <div>
        <strong>{item.name}</strong>
        <Text fw={600}>{item.dose}</Text>
        <Text>{item.do}</Text>
        <Text size="sm">{item.lookFor}</Text>
        {item.side === '' ? null : <Text>{item.side}</Text>}
        {item.numbers === '' ? null : <Text size="sm">{item.numbers}</Text>}
        {item.isNew ? <Text fw={600}>{HOME_NEW}</Text> : null}
      </div>
    </li>
  )
}
