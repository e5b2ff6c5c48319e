import type { CSSProperties, ReactNode } from 'react'
import { Link } from './link'
import classes from './text-link.module.css'

type Props = {
  href: string
  children: ReactNode
  className?: string | undefined
  fw?: number
  fz?: 'xs' | 'sm' | 'md' | 'lg' | 'xl'
  size?: Props['fz']
  mt?: 'xs' | 'sm' | 'md'
  /** A colour of the paper; the accent unless it is said. */
  c?: string
  underline?: 'always' | 'hover' | 'never'
  'aria-current'?: 'page' | undefined
}

/** A link in running text or a table: a list holds hundreds, so it is no more than an anchor. */
export function TextLink({
  href,
  children,
  className = '',
  fw,
  fz,
  size = fz,
  mt,
  c,
  underline = 'hover',
  ...rest
}: Props) {
  const style: CSSProperties = {
    ...(fw === undefined ? {} : { fontWeight: fw }),
    ...(size === undefined ? {} : { fontSize: `var(--mantine-font-size-${size})` }),
    ...(mt === undefined ? {} : { marginTop: `var(--mantine-spacing-${mt})` }),
    ...(c === undefined ? {} : { color: c }),
  }
  return (
    <Link
      href={href}
      className={`${classes.link} ${className}`}
      data-underline={underline}
      style={style}
      {...rest}
    >
      {children}
    </Link>
  )
}
