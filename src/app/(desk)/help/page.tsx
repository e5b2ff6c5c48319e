import type { Metadata } from 'next'
import { page } from '@/features/page'
import { HelpWords } from '@/features/readiness/components/help-words'
import { PageHead } from '@/ui/page-head'
import { SafetyLine } from '@/ui/safety-line'

export const metadata: Metadata = { title: 'Help' }

export default page(() => (
  <>
    <PageHead title="What does that mean?" lead="The words on the screens, in a sentence or two." />
    <HelpWords />
    <SafetyLine />
  </>
))
