import type { Picture } from '../figure/picture'
import { HOME_LEFT_OUT, HOME_NEVER, HOME_NEW, HOME_STOP } from '../words/home'
import type { HomeLine } from './home-file'
import type { SheetDrawing, SheetPart } from './sheet-svg'

type Item = HomeLine & {
  readonly isNew: boolean
  readonly closed: boolean
  readonly picture: Picture | null
}

/** A week at home as it is drawn into a file; what is closed since it was made is said to be left out, and not drawn. */
export function homeSheet(
  title: string,
  { lead, items, instead }: { lead: string; items: readonly Item[]; instead: readonly string[] },
): SheetDrawing {
  return {
    ...{ title, lead },
    parts: [
      ...items.map(rowOf),
      { kind: 'text', text: HOME_STOP, strong: true },
      { kind: 'text', text: HOME_NEVER },
      ...instead.map((text): SheetPart => ({ kind: 'text', text })),
    ],
  }
}

function rowOf(item: Item): SheetPart {
  if (item.closed) return { kind: 'row', picture: null, name: item.name, lines: [HOME_LEFT_OUT] }
  const { picture, name, dose, do: how, lookFor, side, numbers, isNew } = item
  return {
    ...{ kind: 'row', picture, name: `${name}: ${dose}` },
    lines: [how, lookFor, side, numbers, isNew ? HOME_NEW : ''].filter((line) => line !== ''),
  }
}
