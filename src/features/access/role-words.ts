import type { PEOPLE_ROLES } from '@/core/access/roles'

/** What a role is called, and what it may do, for whoever gives it. */
export const ROLE_WORDS: Readonly<
  Record<(typeof PEOPLE_ROLES)[number], { readonly label: string; readonly may: string }>
> = {
  assistant: {
    label: 'assistant',
    may: 'Records what is seen on the floor and sees limits in words; health notes never open for them.',
  },
  teacher: { label: 'teacher', may: 'Plans, teaches and judges, and opens the health notes by their word.' },
  owner: {
    label: 'owner',
    may: 'Does what a teacher does, says who may sign in, takes the studio out as a file and reads the trail.',
  },
}
