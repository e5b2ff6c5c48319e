'use client'

import { Anchor, type AnchorProps } from '@mantine/core'
import Link from 'next/link'
import type { ReactNode } from 'react'

/** A link in running text or a table. */
export function TextLink({
  href,
  children,
  ...rest
}: AnchorProps & { href: string; children: ReactNode; 'aria-current'?: 'page' | undefined }) {
  return (
    <Anchor component={Link} href={href} {...rest}>
      {children}
    </Anchor>
  )
}
