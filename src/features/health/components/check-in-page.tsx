'use client'

import { useRouter } from 'next/navigation'
import type { PassData } from '../queries'
import { CheckInForm } from './check-in-form'

/** Asked aloud by the teacher; goes back to the door when it is stored. */
export function AskAloud({
  studentId,
  daily,
  back,
}: {
  studentId: string
  daily: PassData['daily']
  back: string
}) {
  const router = useRouter()
  return (
    <CheckInForm
      studentId={studentId}
      daily={daily}
      onDone={() => {
        router.push(back)
        router.refresh()
      }}
    />
  )
}
