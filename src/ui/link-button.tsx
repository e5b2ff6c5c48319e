'use client'

import { Button, type ButtonProps } from '@mantine/core'
import { Link } from '@/ui/link'
import type { ReactNode } from 'react'

/** A link that looks like a button. @param whole opens the page anew, with nothing kept of this one */
export function LinkButton({
  href,
  whole = false,
  children,
  ...rest
}: ButtonProps & { href: string; whole?: boolean; children: ReactNode }) {
  return whole ? (
    <Button component="a" href={href} {...rest}>
      {children}
    </Button>
  ) : (
    <Button component={Link} href={href} {...rest}>
      {children}
    </Button>
  )
}
