import type { DoingView } from './doing-view'
import type { BlockView } from './plan-queries'

/** Who is up in each wave of a block's first set, in words; none where nobody waits. */
export function waveLines({ waves, turns }: BlockView): { wave: number; text: string }[] {
  if (waves <= 1) return []
  return turns
    .filter((turn) => turn.set === 1)
    .map(({ wave, up }) => ({
      wave,
      text: up
        .map(
          ({ place, name, helper }) =>
            `${place === '' ? '' : `${place} `}${name}${helper === '' ? '' : ` with ${helper}`}`,
        )
        .join(' · '),
    }))
}

/** When somebody is up in a block of waves. */
export function waveWord({ wave, every }: Pick<DoingView, 'wave' | 'every'>): string {
  return every ? 'every wave' : `wave ${wave}`
}

/**
 * Where somebody is, how much, with what. Own numbers stand where hands are placed for a shape; drills of strength use the
 * same again.
 */
export function doingLine(
  { waves, kind }: BlockView,
  { wave, every, place, climb, dose, props, numbers, then, hope }: DoingView,
): string {
  const where = [waves > 1 ? waveWord({ wave, every }) : '', place].filter((t) => t !== '').join(', ')
  return [where, climb, dose, props, kind === 'train' ? '' : numbers, then, hope]
    .filter((t) => t !== '')
    .join(' · ')
}
