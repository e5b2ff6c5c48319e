/** What the trail keeps: who opened or changed what is private, and who may do so. Never what was said. */
export const TRAIL = [
  'notes-opened',
  'answers-read',
  'answers-changed',
  'clearance-changed',
  'answers-forgotten',
  'word-set',
  'practice-changed',
  'house-rules-changed',
  'studio-taken-out',
  'studio-brought-in',
  'own-file',
  'erased',
  'link-made',
  'signed-in',
  'sign-in-refused',
  'signed-out',
  'account-made',
  'role-changed',
  'account-ended',
  'session-ended',
  'device-paired',
  'second-factor-set',
  'second-factor-removed',
  'password-set',
  'token-made',
  'token-ended',
] as const
export type TrailWhat = (typeof TRAIL)[number]

const WORDS: Readonly<Record<TrailWhat, string>> = {
  'notes-opened': 'opened the health notes',
  'answers-read': 'read health answers',
  'answers-changed': 'changed health answers',
  'clearance-changed': 'changed a clearance',
  'answers-forgotten': 'took health answers away',
  'word-set': 'set the word of the health notes',
  'practice-changed': 'changed the practice of this studio',
  'house-rules-changed': 'changed the house rules',
  'studio-taken-out': 'took the whole studio out as a file',
  'studio-brought-in': 'brought a studio in',
  'own-file': 'took out somebody’s own file',
  erased: 'erased somebody',
  'link-made': 'made a private link',
  'signed-in': 'signed in',
  'sign-in-refused': 'was not let in',
  'signed-out': 'signed out',
  'account-made': 'made an account',
  'role-changed': 'changed what somebody may do',
  'account-ended': 'ended an account',
  'session-ended': 'ended a sign-in',
  'device-paired': 'paired a tablet',
  'second-factor-set': 'set a second factor',
  'second-factor-removed': 'took a second factor away',
  'password-set': 'set a password',
  'token-made': 'let another program read',
  'token-ended': 'ended what another program reads with',
}

/** A line of the trail in words, after the name of whoever did it. */
export function describeTrail(what: TrailWhat): string {
  return WORDS[what]
}
