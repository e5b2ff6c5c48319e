'use server'

import { z } from 'zod'
import { addClassLink, endClassLinks } from '@/db/class-links'
import { findClass } from '@/db/classes'
import { planOf } from '@/db/plans'
import { action } from '../action'
import { done, problem } from '../answer'
import { idField } from '../fields'
import { hashOf, newToken } from '../token'

/** A link for whoever stands in: it opens on the day of the class and shows, and changes nothing. Told this once. */
export const makeCover = action(
  z.object({ classId: idField }),
  ({ scope, clock, health }, { classId }) => {
    const record = findClass(scope, classId)
    if (!record) return problem('That class is not here any more.')
    if (record.day < clock.today) return problem('That class is over.')
    if (!planOf(scope, health.key, classId)) return problem('Make the plan first: the link shows it.')
    const token = newToken()
    addClassLink(scope, { tokenHash: hashOf(token), classId })
    return done({ path: `/cover/${token}` })
  },
  { trail: { what: 'link-made' }, refresh: false },
)

/** Ends every link to a class. */
export const endCover = action(
  z.object({ classId: idField }),
  ({ scope }, { classId }) => done({ ended: endClassLinks(scope, classId) }),
  { refresh: false },
)
