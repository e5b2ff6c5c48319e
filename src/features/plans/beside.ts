import 'server-only'
import { Worker } from 'node:worker_threads'
import { JOBS, type JobAnswer, type JobInput, type JobName } from '@/core/planning/jobs'
import type { Library } from '@/core/practice/library'
import { ofProcess } from '@/db/process'
import type { ThreadAsked, ThreadTold } from '../../workers/planning.thread'

type Waiting = { readonly resolve: (answer: unknown) => void; readonly reject: (error: Error) => void }
type Thread = { readonly worker: Worker; practice: Library | null; readonly waiting: Map<number, Waiting> }

const one = ofProcess<{ thread: Thread | null; asked: number }>('planning', () => ({
  thread: null,
  asked: 0,
}))

/**
 * Does a job of planning in a thread of its own, so that the one that answers goes on answering. Where threads cannot be
 * started (unit tests) it is done here.
 */
export async function beside<N extends JobName>(
  practice: Library,
  name: N,
  input: JobInput<N>,
): Promise<JobAnswer<N>> {
  if (process.env.NODE_ENV !== 'production') {
    const job = JOBS[name] as (practice: Library, input: JobInput<N>) => JobAnswer<N>
    return Promise.resolve(job(practice, input))
  }
  const thread = (one.thread ??= begin())
  one.asked += 1
  const id = one.asked
  const known = thread.practice === practice
  thread.practice = practice
  const told = new Promise<unknown>((resolve, reject) => thread.waiting.set(id, { resolve, reject }))
  const asked: ThreadAsked = { id, name, input, practice: known ? null : practice }
  thread.worker.ref()
  thread.worker.postMessage(asked)
  return (await told) as JobAnswer<N>
}

function begin(): Thread {
  const worker = new Worker(new URL('../../workers/planning.thread.ts', import.meta.url))
  const waiting = new Map<number, Waiting>()
  const settle = (id: number): Waiting | undefined => {
    const found = waiting.get(id)
    waiting.delete(id)
    // A thread with nothing to do keeps no process alive.
    if (waiting.size === 0) worker.unref()
    return found
  }
  worker.on('message', (told: ThreadTold) => {
    const found = settle(told.id)
    if ('failed' in told) found?.reject(new Error(`planning: ${told.failed}`))
    else found?.resolve(told.answer)
  })
  // Whatever ends it, the next job has a fresh one.
  const over = (): void => {
    if (one.thread?.worker === worker) one.thread = null
    for (const id of [...waiting.keys()]) settle(id)?.reject(new Error('planning ended'))
  }
  worker.on('error', over)
  worker.on('exit', over)
  return { worker, practice: null, waiting }
}
