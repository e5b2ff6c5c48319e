'use server'

import { factSchema } from '@/core/facts/fact'
import { action } from '../action'
import { keepFact } from './keep'

/** One fact from a form. Taps on the floor go through the log of the device instead, in batches. */
export const recordFact = action(factSchema, keepFact)

/** The same from a tablet that is passed round: it shows nothing anew. */
export const recordFactQuietly = action(factSchema, keepFact, { refresh: false })
