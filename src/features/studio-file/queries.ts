import 'server-only'
import { classLines } from '@/db/classes'
import { listStudents } from '@/db/students'
import type { Context } from '../context'

/** Whether nobody and no class is here yet. */
export function isEmptyStudio({ scope }: Context): boolean {
  return listStudents(scope, { archived: true }).length === 0 && classLines(scope, null, 1).lines.length === 0
}
