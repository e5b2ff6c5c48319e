import 'server-only'
import { shippedPractice, type Library } from '@/core/practice/library'
import type { Scope } from '@/db/scope'

/** The practice as a studio works by it. Its own additions to what ships will be laid over it here, and nowhere else. */
export function practiceOf(_scope: Scope): Library {
  return shippedPractice()
}
