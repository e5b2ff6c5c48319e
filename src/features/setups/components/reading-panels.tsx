'use client'

import dynamic from 'next/dynamic'
import type { Wording } from '@/core/words/number'
import type { BenchData } from '../queries'
import type { useBegun } from './bench-state'
import { Notice } from '@/ui/notice'

const FaultsBeside = dynamic(() => import('./faults-beside').then((m) => m.FaultsBeside), { ssr: false })
const WhyPanel = dynamic(() => import('./why-panel').then((m) => m.WhyPanel), { ssr: false })

/** What is read beside the bench: why things stand there, and what goes wrong. */
export function ReadingPanels({
  panel,
  facts,
  shown: { solution, body },
  stock,
  wording,
  limit,
}: {
  panel: string
  facts: BenchData['setups'][number] | undefined
  shown: ReturnType<typeof useBegun>['shown']
  stock: BenchData['stock']
  wording: Wording
  /** What closes or changes the setup for this person; empty where nothing does. */
  limit: string
}) {
  if (!body) return null
  const read =
    panel === 'why' && solution ? (
      <WhyPanel solution={solution} body={body} stock={stock} wording={wording} />
    ) : panel === 'wrong' && facts ? (
      <FaultsBeside facts={facts} body={body} wording={wording} />
    ) : null
  if (!read) return null
  return (
    <>
      {limit === '' ? null : <Notice title={limit} />}
      {read}
    </>
  )
}
