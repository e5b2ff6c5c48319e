import type { AgeBand } from '../screening/minor'

/** Ages as they are asked for. */
export const AGE_WORD: Readonly<Record<AgeBand, string>> = {
  'under-18': 'Under 18',
  '18-64': '18 to 64',
  '65-up': '65 and over',
}

/** What the practice asks for somebody under 18. */
export const GUARDIAN_ASKS =
  'Until then nothing heavy on the head, no stand on the nape, no hands on. After it short holds, 20 s at most; asked again after half a year. Local rules may ask for more.'
