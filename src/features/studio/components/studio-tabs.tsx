'use client'

import { Group } from '@mantine/core'
import { Link } from '@/ui/link'
import { usePathname } from 'next/navigation'
import classes from './studio-tabs.module.css'

const TABS = [
  ['/studio', 'Room'],
  ['/studio/cupboard', 'Cupboard'],
  ['/studio/people', 'Who helps'],
  ['/studio/approaches', 'How we work'],
  ['/studio/house', 'House rules'],
  ['/studio/emergency', 'Emergency card'],
  ['/studio/incidents', 'Incidents'],
  ['/studio/files', 'In and out'],
  ['/studio/access', 'Sign-ins'],
] as const

/** Parts of the studio. */
export function StudioTabs() {
  const path = usePathname()
  return (
    <Group component="nav" aria-label="Parts of the studio" gap="xs" mb="lg" className="no-print">
      {TABS.map(([href, label]) => (
        <Link
          key={href}
          href={href}
          className={classes.tab}
          aria-current={path === href || (href !== '/studio' && path.startsWith(href)) ? 'page' : undefined}
        >
          {label}
        </Link>
      ))}
    </Group>
  )
}
