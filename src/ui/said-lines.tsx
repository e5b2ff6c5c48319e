import classes from './said-lines.module.css'

/** What is said, line by line: a word for what it is about, and the sentence. */
export function SaidLines({ lines }: { lines: readonly (readonly [label: string, text: string])[] }) {
  if (lines.length === 0) return null
  return (
    <dl className={classes.lines}>
      {lines.map(([label, text]) => (
        <div key={label}>
          <dt>{label}</dt>
          <dd>{text}</dd>
        </div>
      ))}
    </dl>
  )
}
