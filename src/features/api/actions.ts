'use server'

import { z } from 'zod'
import { addDays } from '@/core/day'
import { API_SCOPES } from '@/core/formats/api'
import { addApiToken, endApiToken } from '@/db/api-tokens'
import { action } from '../action'
import { done } from '../answer'
import { idField } from '../fields'
import { hashOf, newToken } from '../token'

const MOST_DAYS = 366

/** Makes a token for another program. It is told this once; only its hash is kept. */
export const makeToken = action(
  z.object({
    id: idField,
    name: z.string().trim().min(1, 'Say what it is for.').max(60, 'At most 60 characters.'),
    scopes: z.array(z.enum(API_SCOPES)).min(1, 'Tick what it may read.'),
    days: z
      .number({ error: 'For how many days?' })
      .int('Whole days.')
      .min(1, 'At least a day.')
      .max(MOST_DAYS, 'At most a year: then make another.'),
  }),
  ({ scope, clock }, { id, name, scopes, days }) => {
    const token = newToken()
    const { today } = clock
    addApiToken(scope, {
      ...{ id, name, scopes, tokenHash: hashOf(token), madeDay: today, lastDay: addDays(today, days) },
    })
    return done({ token })
  },
  { by: 'owner', trail: { what: 'token-made' } },
)

/** Ends a token at once. */
export const endToken = action(
  z.object({ id: idField }),
  ({ scope }, { id }) => {
    endApiToken(scope, id)
    return done(true)
  },
  { by: 'owner', trail: { what: 'token-ended' } },
)
