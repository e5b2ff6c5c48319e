import { LOAD_TAGS, type LoadTag } from '../practice/load-tags'
import type { Load } from '../practice/schema'

/** Loads in a teacher's words, by level 1–3. Conditions are never named. */
const LOADS: Readonly<Record<LoadTag, readonly [string, string, string]>> = {
  HB: ['the head touching down', 'weight on the head', 'a full headstand'],
  NF: ['weight near a bent neck', 'a raised shoulder stand', 'a flat shoulder stand'],
  HBH: ['head below heart', 'pelvis above the head', 'full inversions'],
  WB: ['hands on the floor', 'weight on the wrists', 'full weight on the wrists'],
  FB: ['light forearm work', 'weight on the forearms', 'full weight on the forearms'],
  SE: ['arms overhead', 'loaded arms overhead', 'loaded bent arms overhead'],
  FR: ['one limb free', 'leaving the floor', 'kicks and free balance'],
  AC: ['knees to the chest', 'a pressed belly', 'a deeply pressed belly'],
  SF: ['rounding', 'loaded rounding', 'a flat plough'],
  SX: ['a low arch', 'loaded arching', 'dropping back'],
  ST: ['short efforts', 'holds over ten seconds', 'holds over half a minute'],
  KN: ['kneeling', 'deeply bent knees', 'lotus'],
  EL: ['bent elbows', 'deeply bent elbows under load', 'deeply bent elbows under load'],
  PR: ['lying on the belly', 'lying on the belly', 'lying on the belly'],
  SU: ['lying on the back', 'lying long on the back', 'lying long on the back'],
}

/** From which load on a limit acts, in words. */
export function describeLoadFrom({ tag, level }: { tag: LoadTag; level: number }): string {
  const words = LOADS[tag]
  return words[level - 1] ?? words[0]
}

/** A load in a teacher’s words: “head below heart · weight on the forearms”. */
export function describeLoad(load: Load): string {
  const parts = Object.keys(load).flatMap((tag) => {
    const known = LOAD_TAGS.find((t) => t === tag)
    return known ? [describeLoadFrom({ tag: known, level: load[known] ?? 1 })] : []
  })
  return parts.length > 0 ? parts.join(' · ') : 'nothing to speak of'
}
