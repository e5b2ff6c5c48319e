import type { ApiScope } from '../formats/api'

/** What a token may read, as the owner ticks it. */
export const SCOPE_WORDS: Readonly<Record<ApiScope, string>> = {
  practice: 'Steps, drills and checks',
  students: 'Names of students',
  readiness: 'Where each stands',
  results: 'Results and tries',
  classes: 'Classes and plans',
}
