import type { Load, LoadTag } from '../practice/schema'

const TAG_WORD: Record<LoadTag, string> = {
  HB: 'weight on the head',
  NF: 'bent neck',
  HBH: 'head low',
  WB: 'wrists',
  FB: 'forearms',
  SE: 'shoulder range',
  FR: 'fall',
  AC: 'belly pressed',
  SF: 'back rounded',
  SX: 'back arched',
  ST: 'long effort',
  KN: 'deep knees',
}

/** A load as words with levels: `forearms 2 · head low 1`. */
export function describeLoad(load: Load): string {
  const parts = (Object.entries(load) as [LoadTag, number][]).map(
    ([tag, level]) => `${TAG_WORD[tag]} ${level}`,
  )
  return parts.length > 0 ? parts.join(' · ') : 'nothing to speak of'
}
