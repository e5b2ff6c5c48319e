import { Stack, Title, type StackProps, type TitleProps } from '@mantine/core'

type Props = Pick<TitleProps, 'order' | 'fz' | 'mb' | 'mt'> & {
  title: string
  className?: string
  /** Between what stands in it; none where its parts keep their own distance. */
  gap?: StackProps['gap']
  children: React.ReactNode
}

/** A part of a page under a heading that names it. */
export function Section({ title, className, gap, order = 2, fz = 'lg', children, ...room }: Props) {
  const parts = (
    <>
      <Title order={order} fz={fz} {...room}>
        {title}
      </Title>
      {children}
    </>
  )
  return (
    <section aria-label={title} className={className}>
      {gap === undefined ? parts : <Stack gap={gap}>{parts}</Stack>}
    </section>
  )
}
