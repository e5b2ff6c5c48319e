/** What anybody in the room must find at once. Printed and hung by the door. */
export type EmergencyCard = {
  /** Where help has to come, as it is said on the telephone. */
  readonly address: string
  readonly howToFindUs: string
  readonly emergencyNumber: string
  readonly contacts: string
  readonly firstAid: string
  readonly defibrillator: string
  readonly firstAiders: string
}

export const EMPTY_CARD: EmergencyCard = {
  address: '',
  howToFindUs: '',
  emergencyNumber: '',
  contacts: '',
  firstAid: '',
  defibrillator: '',
  firstAiders: '',
}

/** Lines that nobody can do without (cautions.md F19). */
const NEEDED = ['address', 'emergencyNumber', 'firstAid', 'defibrillator'] as const

/** What is still missing on the card. */
export function missingOnCard(card: EmergencyCard): (keyof EmergencyCard)[] {
  return NEEDED.filter((line) => card[line].trim() === '')
}
