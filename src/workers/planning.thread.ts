import { parentPort } from 'node:worker_threads'
import { JOBS, type JobName } from '@/core/planning/jobs'
import type { Library } from '@/core/practice/library'

/** One job; the practice only where it is another than the one before. */
export type ThreadAsked = {
  readonly id: number
  readonly name: JobName
  readonly input: unknown
  readonly practice: Library | null
}
export type ThreadTold =
  { readonly id: number; readonly answer: unknown } | { readonly id: number; readonly failed: string }

let practice: Library | null = null

/** Plans beside the server’s own thread, one class after another, so that taps are answered meanwhile. */
parentPort?.on('message', ({ id, name, input, practice: sent }: ThreadAsked) => {
  practice = sent ?? practice
  try {
    if (practice === null) throw new Error('no practice')
    const job = JOBS[name] as (practice: Library, input: unknown) => unknown
    parentPort?.postMessage({ id, answer: job(practice, input) } satisfies ThreadTold)
  } catch (error) {
    const failed = error instanceof Error ? error.name : 'unknown'
    parentPort?.postMessage({ id, failed } satisfies ThreadTold)
  }
})
