import 'server-only'
import { whereTo } from '@/core/access/where-to'
import type { Context } from '../context'

/** Where whoever is in now goes from the sign-in page. */
export function nextPage({ actor }: Pick<Context, 'actor'>, asked: string | string[] | undefined): string {
  return whereTo([asked].flat()[0], actor.role)
}
