import type { DosePart } from '../practice/dose-run'

/** What a part of a dose is, while it runs: `Set 2, left: hold`. */
export function saidOfPart(part: DosePart): string {
  if (part.kind === 'rest') return 'Rest'
  const side = part.side === null ? '' : `, ${part.side}`
  return part.kind === 'hold' ? `Set ${part.set}${side}: hold` : `Set ${part.set}${side}: ${part.reps} times`
}
