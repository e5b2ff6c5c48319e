/** Who may be signed in. */
export const ROLES = ['device', 'assistant', 'teacher', 'owner'] as const
export type Role = (typeof ROLES)[number]
/** Roles of people; a device has no account. */
export const PEOPLE_ROLES = ['assistant', 'teacher', 'owner'] as const
/** Whoever asks: nobody until something says who. */
export type Asker = Role | 'nobody'

/**
 * What a page or an action asks for, from least to most. `anyone`: what opens by a long token, or says nothing. `device`:
 * the floor log of a class. `floor`: what an assistant does, limits in words and no health. `desk`: a teacher's work.
 * `owner`: accounts, the studio's file, the trail.
 */
export const LEVELS = ['anyone', 'device', 'floor', 'desk', 'owner'] as const
export type Level = (typeof LEVELS)[number]

const REACHES: Readonly<Record<Asker, Level>> = {
  nobody: 'anyone',
  device: 'device',
  assistant: 'floor',
  teacher: 'desk',
  owner: 'owner',
}

/** Whether somebody reaches a level: each role reaches what the ones before it reach. */
export function reaches(asker: Asker, level: Level): boolean {
  return LEVELS.indexOf(level) <= LEVELS.indexOf(REACHES[asker])
}

/** Whether the health notes may ever be open for them. */
export function mayKnow(asker: Asker): boolean {
  return reaches(asker, 'desk')
}

/** Facts that are a teacher's judgement, or change a plan; the others are what was seen on the floor. */
const JUDGED: readonly string[] = ['placement', 'offer', 'lock']

/** What recording one kind of fact asks for. */
export function levelOfFact(kind: string): Level {
  return JUDGED.includes(kind) ? 'desk' : 'device'
}

/** What each page asks for. `*` is one part of a path; the line with the fewest counts. */
export const PAGES: readonly (readonly [path: string, level: Level])[] = [
  ['/sign-in', 'anyone'],
  ['/healthz', 'anyone'],
  ['/h/*', 'anyone'],
  ['/cover/*', 'anyone'],
  // Asks for a token of its own.
  ['/api/v1/*', 'anyone'],
  ['/help', 'device'],
  ['/account', 'device'],
  ['/pass/*', 'device'],
  ['/facts', 'device'],
  ['/teach', 'device'],
  ['/teach/*', 'device'],
  ['/teach/*/board', 'device'],
  ['/teach/*/live', 'device'],
  ['/readiness/round/*', 'device'],
  ['/studio/emergency', 'device'],
  ['/', 'floor'],
  ['/teach/*/door', 'floor'],
  ['/teach/*/door/*', 'floor'],
  ['/teach/*/after', 'floor'],
  ['/teach/*/enter', 'floor'],
  ['/teach/*/recap', 'floor'],
  ['/readiness', 'floor'],
  ['/readiness/*', 'floor'],
  ['/readiness/round/*/card', 'floor'],
  ['/readiness/round/*/enter', 'floor'],
  ['/library', 'floor'],
  ['/library/*', 'floor'],
  ['/setups', 'floor'],
  ['/setups/card', 'floor'],
  ['/library/own', 'desk'],
  ['/readiness/by-eye', 'desk'],
  ['/plans', 'desk'],
  ['/plans/new', 'desk'],
  ['/plans/*', 'desk'],
  ['/plans/*/sheet', 'desk'],
  ['/plans/*/cards', 'desk'],
  ['/progress', 'desk'],
  ['/progress/log', 'desk'],
  ['/progress/series', 'desk'],
  ['/progress/sequences', 'desk'],
  ['/progress/sequences/*', 'desk'],
  ['/progress/series/*', 'desk'],
  ['/progress/*', 'desk'],
  ['/progress/*/home', 'desk'],
  ['/students', 'desk'],
  ['/students/card', 'desk'],
  ['/students/*', 'desk'],
  ['/students/*/health', 'desk'],
  ['/studio', 'desk'],
  ['/studio/approaches', 'desk'],
  ['/studio/cupboard', 'desk'],
  ['/studio/house', 'desk'],
  ['/studio/mailbox', 'desk'],
  ['/studio/people', 'desk'],
  ['/studio/incidents', 'desk'],
  ['/studio/incidents/new', 'desk'],
  ['/studio/incidents/*', 'desk'],
  ['/studio/files', 'owner'],
  ['/studio/access', 'owner'],
  ['/studio/api', 'owner'],
  ['/studio-file/taken', 'owner'],
  ['/studio-file/brought', 'owner'],
  ['/studio-file/restored', 'owner'],
]

/** What a path asks for; one that no line names asks for the most. */
export function levelOf(path: string): Level {
  const clean = path.length > 1 ? path.replace(/\/+$/, '') : path
  const parts = clean.split('/')
  // A word says more than a star: /plans/new is not one of the plans.
  const fits = PAGES.filter(([pattern]) => fitsPath(pattern.split('/'), parts))
  const stars = (pattern: string): number => pattern.split('*').length
  const [nearest] = fits.toSorted((a, b) => stars(a[0]) - stars(b[0]))
  return nearest?.[1] ?? 'owner'
}

function fitsPath(pattern: readonly string[], parts: readonly string[]): boolean {
  return pattern.length === parts.length && pattern.every((p, i) => p === '*' || p === parts[i])
}
