import type { Metadata } from 'next'
import { Cupboard } from '@/features/studio/components/cupboard-table'
import { cupboard } from '@/features/studio/queries'
import { PageHead } from '@/ui/page-head'
import { page } from '@/features/page'

export const metadata: Metadata = { title: 'Cupboard' }

export default page((ctx) => {
  return (
    <>
      <PageHead
        title="What is in the cupboard?"
        lead="By shape, since names differ from house to house. Setups are built from what is here and not out of use."
      />
      <Cupboard {...cupboard(ctx)} />
    </>
  )
})
