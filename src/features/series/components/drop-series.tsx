'use client'

import { useRouter } from 'next/navigation'
import { AskFirst } from '@/ui/ask-first'
import { useSubmit } from '../../use-submit'
import { dropSeries } from '../actions'

/** Takes a series away, once it is asked twice. */
export function DropSeries({ id, name }: { id: string; name: string }) {
  const router = useRouter()
  const { send } = useSubmit(dropSeries)
  return (
    <AskFirst
      label="Take away"
      what={name}
      onSure={() => void send({ id }).then((gone) => gone && router.push('/progress/series'))}
    />
  )
}
