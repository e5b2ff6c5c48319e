import { LOAD_TAGS } from '../practice/schema'
import type { Cap, Caps } from './caps'

/**
 * While health notes are there and do not open, whatever they may have closed stays closed: every load above the lowest
 * level, and any weight on head or neck. It ends when the key is back, and nothing else lifts it.
 */
export const SHUT_LIMITS: Caps = {
  answered: false,
  cleared: [],
  caps: LOAD_TAGS.map((tag): Cap => ({
    ruleId: 'SHUT',
    action: 'stop',
    tag,
    level: tag === 'HB' || tag === 'NF' ? 1 : 2,
    mostSeconds: null,
    instead: 'Gentle work on the floor until the notes can be read again.',
    change: null,
    needsClearance: false,
    until: 'key',
  })),
}
