import { Link } from '@/ui/link'
import type { Part } from '../queries'
import classes from './today.module.css'

/** The hour at a glance: each part as wide as it is long. */
export function Ribbon({ parts, href }: { parts: readonly Part[]; href: string }) {
  if (parts.length === 0) return null
  return (
    <Link href={href} className={classes.ribbon} aria-label={`The plan: ${parts.map(said).join(', ')}`}>
      {parts.map((part, i) => (
        <span key={i} data-kind={part.kind} style={{ flexGrow: part.minutes }}>
          <strong>{part.title}</strong> {part.minutes} min
        </span>
      ))}
    </Link>
  )
}

function said({ title, minutes }: Part): string {
  return `${title.toLowerCase()} ${minutes} min`
}
