import type { BlockView } from '../plan-queries'
import classes from './plan.module.css'

/** The hour at a glance: each part as wide as it is long, and a way to it. */
export function PlanRibbon({ blocks }: { blocks: readonly BlockView[] }) {
  return (
    <ol className={classes.ribbon} aria-label="The hour">
      {blocks.map((block, i) => (
        <li key={block.at + block.kind} style={{ flexGrow: block.seconds, flexBasis: 0 }}>
          <a
            href={`#block-${i + 1}`}
            data-work={block.doings.length > 0}
            title={`${block.title}, ${block.minutes}`}
          >
            {block.word}
            <br />
            {block.minutes}
          </a>
        </li>
      ))}
    </ol>
  )
}
