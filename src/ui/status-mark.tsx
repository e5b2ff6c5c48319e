import type { Mark } from '@/core/readiness/mark'
import { OUTCOME_MEANING, OUTCOME_WORD } from '@/core/words/outcome'
import classes from './status-mark.module.css'

const WASH: Record<Mark, string> = {
  offer: 'var(--wash-lichen)',
  'once-more': 'var(--wash-slate)',
  near: 'var(--wash-straw)',
  build: 'transparent',
  'step-back': 'var(--wash-clay)',
  'not-now': 'var(--wash-clay)',
  held: 'var(--wash-lichen)',
  'not-seen': 'transparent',
  'may-begin': 'transparent',
}

/** Nothing to look at yet. */
const QUIET: ReadonlySet<Mark> = new Set(['not-seen', 'may-begin'])

/** A decision as shape, word and wash: readable without colour. */
export function StatusMark({ outcome, size = 26 }: { outcome: Mark; size?: number }) {
  return (
    <span
      className={classes.mark}
      data-quiet={QUIET.has(outcome)}
      style={{ background: WASH[outcome] }}
      title={OUTCOME_MEANING[outcome]}
    >
      <svg
        width={size}
        height={size}
        viewBox="0 0 26 26"
        aria-hidden="true"
        fill="none"
        stroke="var(--ink)"
        strokeWidth="2.6"
        strokeLinecap="round"
      >
        {SHAPE[outcome]}
      </svg>
      <span>{OUTCOME_WORD[outcome]}</span>
    </span>
  )
}

const SHAPE: Record<Mark, React.ReactNode> = {
  offer: (
    <>
      <circle cx="13" cy="13" r="7" />
      <line x1="13" y1="2" x2="13" y2="24" />
    </>
  ),
  'once-more': <path d="M18.7 8.9 A7 7 0 1 1 13 6" />,
  near: <path d="M4 20 h6 v-6 h6 M18 8 h4" />,
  build: (
    <>
      <line x1="6" y1="20" x2="20" y2="20" />
      <line x1="6" y1="14" x2="16" y2="14" />
      <line x1="6" y1="8" x2="11" y2="8" />
    </>
  ),
  'step-back': <path d="M20 6 h-9 v13 M6 14 l5 6 l5 -6" />,
  'not-now': (
    <>
      <circle cx="13" cy="13" r="8" />
      <line x1="5" y1="13" x2="21" y2="13" />
    </>
  ),
  held: (
    <>
      <line x1="13" y1="3" x2="13" y2="16" />
      <path d="M6 21 h14" />
      <circle cx="13" cy="17" r="2.5" fill="var(--ink)" />
    </>
  ),
  'not-seen': <path d="M9 13 h8" strokeDasharray="1 4" />,
  'may-begin': <path d="M5 21 h16 M13 17 v-8 M9 12 l4 -4 l4 4" />,
}
