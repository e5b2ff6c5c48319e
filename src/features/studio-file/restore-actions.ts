'use server'

import { z } from 'zod'
import { erasedIds, rememberErased } from '@/db/backup'
import { dataFolder } from '@/db/open'
import { action } from '../action'
import { done, problem } from '../answer'
import { isEmptyStudio } from './queries'

/** More people than any studio has erased. */
const MOST_ERASED = 20_000

/**
 * Takes the list of who was erased before the machine was lost: a backup that is put back here is freed of them. It names
 * nobody, only ids that lead nowhere.
 */
export const listErased = action(
  z.object({ text: z.string().max(MOST_ERASED * 40) }),
  (ctx, { text }) => {
    if (!isEmptyStudio(ctx))
      return problem('Somebody is here already. A backup goes into an empty installation.')
    const read = z.array(z.uuid()).safeParse(text.split(/\s+/).filter((line) => line !== ''))
    if (!read.success)
      return problem('That is no list of who was erased: “erased-ids.txt” of the lost machine.')
    const known = new Set(erasedIds(dataFolder()))
    const fresh = read.data.filter((id) => !known.has(id))
    for (const id of fresh) rememberErased(dataFolder(), id)
    return done({ listed: fresh.length })
  },
  { by: 'owner', refresh: false },
)
