import type { Family } from '../practice/schema'

/** Families as the board names them. */
export const FAMILY_NAMES: Readonly<Record<Family, string>> = {
  PU: 'Low push-up',
  FS: 'Forearm stand',
  HD: 'Headstand',
  HS: 'Handstand',
  CR: 'Crow',
  SH: 'Shoulder stand',
  AD: 'Advanced',
}
