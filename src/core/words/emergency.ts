import type { EmergencyCard } from '../room/emergency'

/** Lines of the card by the door, in the order in which they are needed. */
export const CARD_LINES: readonly { key: keyof EmergencyCard; label: string; hint: string }[] = [
  { key: 'emergencyNumber', label: 'Emergency number', hint: 'As it is dialled from this room' },
  { key: 'address', label: 'Where help has to come', hint: 'As you would say it on the telephone' },
  { key: 'howToFindUs', label: 'How to find the door', hint: 'Which gate, which floor' },
  { key: 'firstAid', label: 'First-aid kit', hint: 'Where it hangs' },
  { key: 'defibrillator', label: 'Nearest defibrillator', hint: 'Where, and how long to fetch it' },
  { key: 'firstAiders', label: 'First aiders', hint: 'Names' },
  { key: 'contacts', label: 'Other numbers', hint: 'Caretaker, studio owner' },
]
