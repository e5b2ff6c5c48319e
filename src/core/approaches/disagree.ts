import type { Resolved } from './resolve'

/** A hand on a drawing that does something other than the setting in force. */
export type Disagreement = { readonly approach: string; readonly now: string; readonly wants: string }

type Reading = { readonly approach: string; readonly read: (cm: number) => string }

/** Fingertips to the wall, forearms (approaches.md A04): touching, small up to 15 cm, further is far. */
const FOREARM_GAP: Reading = {
  approach: 'A04',
  read: (cm) => (cm < 1 ? 'touching' : cm <= 15 ? 'small' : 'far'),
}
/** The same for straight arms (A05): each purpose has its gap, so a hand's move is a wish for another purpose. */
const HAND_GAP: Reading = {
  approach: 'A05',
  read: (cm) => (cm <= 15 ? 'near' : cm <= 30 ? 'middle' : 'half-arm'),
}

/** Which question an option of a setup answers, by the setup's start. */
const READINGS: readonly { readonly setups: RegExp; readonly reading: Reading }[] = [
  { setups: /^SETUP-wall-kick-forearm/, reading: FOREARM_GAP },
  { setups: /^SETUP-wall-kick-hand/, reading: HAND_GAP },
]
/** Options that are a distance to the wall: from the fingertips, or from a block that stands before them. */
const GAPS: readonly string[] = ['fingertipGapCm', 'wallGapCm']

/**
 * Whether a value set by hand speaks against the option in force: then the teacher is asked once whether that is for
 * always, for this class or for this person. Null where it agrees or says nothing.
 */
export function disagreement(
  resolved: ReadonlyMap<string, Pick<Resolved, 'option'>>,
  setupId: string,
  option: string,
  value: number,
): Disagreement | null {
  const found = GAPS.includes(option) ? READINGS.find((r) => r.setups.test(setupId)) : undefined
  if (!found) return null
  const { approach, read } = found.reading
  const now = resolved.get(approach)?.option
  const wants = read(value)
  const byPurpose = now === 'by-purpose' || now === 'by-pose'
  if (now === undefined || byPurpose || now === wants) return null
  return { approach, now, wants }
}
