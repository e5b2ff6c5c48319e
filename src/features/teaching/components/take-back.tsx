'use client'

import { Button } from '@mantine/core'
import { useRouter } from 'next/navigation'
import { useRecord } from '@/device/use-log'
import { FormProblem } from '@/ui/form-problem'

/** It was one try: the second record of it is taken back. */
export function TakeBack({ id, studentId, name }: { id: string; studentId: string; name: string }) {
  const router = useRouter()
  const { tell, failed } = useRecord()
  return (
    <>
      <Button
        aria-label={`${name}: it was one try`}
        onClick={() =>
          void tell(
            { kind: 'taken-back', of: 'attempt', studentId, target: id },
            `${name}: it was one try`,
          ).then(() => router.refresh())
        }
      >
        It was one
      </Button>
      <FormProblem message={failed === '' ? undefined : failed} />
    </>
  )
}
