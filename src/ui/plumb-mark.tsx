/** The plumb line: a thin line with a small bob, the house's recurring mark. */
export function PlumbMark({ height = 28 }: { height?: number }) {
  return (
    <svg width={height / 2} height={height} viewBox="0 0 14 28" aria-hidden="true">
      <line x1="7" y1="0" x2="7" y2="18" stroke="currentColor" strokeWidth="1.5" />
      <path d="M7 27 L3 20.5 Q7 16 11 20.5 Z" fill="var(--accent)" stroke="currentColor" strokeWidth="1" />
    </svg>
  )
}
