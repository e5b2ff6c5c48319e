'use server'

import { factSchema } from '@/core/facts/fact'
import { action } from '../action'
import { problem } from '../answer'
import { keepFact } from './keep'

/** One fact from a form. Taps on the floor go through the log of the device instead, in batches. */
export const recordFact = action(factSchema, keepFact, { by: 'device' })

/** The same from a tablet that is passed round: it takes tonight's words, and shows nothing anew. */
export const recordFactQuietly = action(
  factSchema,
  (ctx, fact) =>
    ctx.privacy.passed && fact.kind !== 'check-in'
      ? problem('On this tablet only tonight’s words are taken.')
      : keepFact(ctx, fact),
  { by: 'device', refresh: false, passed: true },
)
