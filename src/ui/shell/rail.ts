import {
  IconBooks,
  IconBuildingCottage,
  IconCalendarTime,
  IconChartLine,
  IconClipboardCheck,
  IconHome,
  IconPlayerPlay,
  IconRulerMeasure,
  IconUsers,
  type Icon,
} from '@tabler/icons-react'

export type RailItem = {
  readonly href: string
  readonly label: string
  readonly question: string
  readonly icon: Icon
  readonly key: string
}

/** The order of the rail is the order of the work. `key` follows `g` as a shortcut. */
export const RAIL: readonly RailItem[] = [
  { href: '/', label: 'Today', question: 'What needs settling tonight?', icon: IconHome, key: 't' },
  { href: '/students', label: 'Students', question: 'Who is coming?', icon: IconUsers, key: 's' },
  {
    href: '/readiness',
    label: 'Readiness',
    question: 'Who is ready for what?',
    icon: IconClipboardCheck,
    key: 'r',
  },
  { href: '/setups', label: 'Setups', question: 'Where do the hands go?', icon: IconRulerMeasure, key: 'u' },
  { href: '/plans', label: 'Plans', question: 'What happens when?', icon: IconCalendarTime, key: 'p' },
  { href: '/teach', label: 'Teach', question: 'Whose turn is it?', icon: IconPlayerPlay, key: 'e' },
  { href: '/progress', label: 'Progress', question: 'What changed, and why?', icon: IconChartLine, key: 'o' },
  { href: '/library', label: 'Library', question: 'What does each step ask?', icon: IconBooks, key: 'l' },
  { href: '/studio', label: 'Studio', question: 'What is in the room?', icon: IconBuildingCottage, key: 'd' },
]
