import { Box, type BoxProps } from '@mantine/core'
import classes from './notice.module.css'

type Props = Pick<BoxProps, 'mb'> & {
  /** Clay for what is wrong or closed, straw for what wants a look, slate for what is going on. */
  tone?: 'clay' | 'straw' | 'slate'
  title: string
  tabIndex?: number
  ref?: React.Ref<HTMLDivElement>
  /** What to do about it. */
  children?: React.ReactNode
}

/** What has to be seen before the rest: a sentence, and what to do about it. */
export function Notice({ tone = 'clay', title, children, ...rest }: Props) {
  return (
    <Box role="alert" aria-label={title} className={classes.notice} data-tone={tone} {...rest}>
      <p className={classes.title}>{title}</p>
      {children}
    </Box>
  )
}
