import { Link } from '@/ui/link'
import { Figure } from '@/ui/figure/figure'
import type { Card } from '../queries'
import classes from './library.module.css'

/** Entries as tiles with their figures; what has no shape is a line of words. */
export function Cards({ cards, withKind = false }: { cards: readonly Card[]; withKind?: boolean }) {
  return (
    <ul className={classes.cards}>
      {cards.map((card) => (
        <li key={card.id}>
          <Link href={`/library/${card.id}`} className={classes.card}>
            <span className={classes.drawn}>
              {card.picture ? <Figure picture={card.picture} height={84} /> : null}
            </span>
            <span>{card.name}</span>
            {withKind ? <span className={classes.kind}>{card.kind}</span> : null}
          </Link>
        </li>
      ))}
    </ul>
  )
}
