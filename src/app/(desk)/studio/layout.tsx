import type { ReactNode } from 'react'
import { StudioTabs } from '@/features/studio/components/studio-tabs'

export default function StudioLayout({ children }: { children: ReactNode }) {
  return (
    <>
      <StudioTabs />
      {children}
    </>
  )
}
