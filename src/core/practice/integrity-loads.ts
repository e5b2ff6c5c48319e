import { strainOf } from './dose'
import type { Library } from './library'

type Found = { readonly at: string; readonly detail: string }

/** More or less support is another setup, never the same. */
export function supportDiffers(p: Library): Found[] {
  return p.setups
    .filter(({ id, more, less }) => more.includes(id) || less.includes(id))
    .map(({ id }) => ({ at: id, detail: 'offers itself as more or less support' }))
}

/** Strain follows the planned seconds of whatever rests on hands or forearms (progressions.md 1). */
export function strainFollows(p: Library): Found[] {
  return [...p.stages, ...p.drills]
    .filter(({ load, dose }) => (load.WB ?? load.FB) !== undefined && (load.ST ?? 0) < strainOf(dose))
    .map(({ id }) => ({ at: id, detail: 'its dose is longer than its strain says' }))
}
