import type { ReactNode } from 'react'

/** Pages in other hands than the teacher's: nothing stands round them, no name and no way to anywhere else. */
export default function AloneLayout({ children }: { children: ReactNode }) {
  return (
    <main id="content" tabIndex={-1} className="alone">
      {children}
    </main>
  )
}
