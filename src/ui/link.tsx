'use client'

import NextLink from 'next/link'
import type { ComponentProps } from 'react'

/**
 * A link within Levitar. Nothing is fetched before it is pressed: asking the server for every link in sight made a look at
 * one page cost it as much as ten, on the evening when the whole room looks.
 */
export function Link(props: Omit<ComponentProps<typeof NextLink>, 'prefetch'>) {
  return <NextLink {...props} prefetch={false} />
}
