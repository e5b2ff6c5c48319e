import 'server-only'
import { redirect } from 'next/navigation'
import { cache, type ReactNode } from 'react'
import { z } from 'zod'
import { levelOf, reaches } from '@/core/access/roles'
import { signInFor } from '@/core/access/where-to'
import type { Day } from '@/core/day'
import { NotYours } from '@/ui/not-yours'
import { groundOf } from '@/db/open'
import { contextFor, type Context } from './context'
import { StoreRefused } from './studio/components/store-refused'
import { pathHere, whoHere } from './who'

/** The context of the page that is being drawn: who, what this screen may show, and when. One a request. */
export const here = cache(async (): Promise<Context> => {
  const { privacy, actor } = await whoHere()
  return contextFor(privacy, undefined, actor)
})

/**
 * The one wrapper round every page: who is there and what the screen may show is settled before anything is read.
 * @param render draws the page from its context and from what Next hands it
 */
export function page<P = object>(
  render: (ctx: Context, props: P) => ReactNode | Promise<ReactNode>,
): (props: P) => Promise<ReactNode> {
  return async function Guarded(props) {
    const ctx = await here()
    const path = await pathHere()
    const level = levelOf(path)
    if (reaches(ctx.actor.role, level)) {
      try {
        return await render(ctx, onceAsked(props))
      } catch (error) {
        // One damaged place in the file is said as a damaged file is; a page cannot be drawn past it.
        const ground = groundOf(error)
        if (!ground) throw error
        return <StoreRefused refusal={ground.code} detail={ground.detail} />
      }
    }
    if (ctx.actor.role === 'nobody' || ctx.actor.locked) redirect(signInFor(path))
    return <NotYours role={ctx.actor.role} level={level} />
  }
}

/** What an address asks twice is asked once, as the first says: no page takes a list where it takes a word. */
function onceAsked<P>(props: P): P {
  const asked = (props as { searchParams?: Promise<Record<string, string | string[] | undefined>> })
    .searchParams
  if (asked === undefined) return props
  const once = asked.then((all) =>
    Object.fromEntries(Object.entries(all).map(([name, value]) => [name, [value].flat()[0]])),
  )
  return { ...props, searchParams: once }
}

/** No list of anybody's has so many pages. */
const MOST_PAGES = 1_000_000

/** A page of a long list as an address holds it, from 1. */
export function pageAsked(asked: string | string[] | undefined): number {
  const at = Math.trunc(Number([asked].flat()[0] ?? 1))
  return at > 0 ? Math.min(at, MOST_PAGES) : 1
}

/** A day as an address holds it; null where it is none. */
export function dayAsked(asked: string | string[] | undefined): Day | null {
  const [day] = [asked].flat()
  return z.iso.date().safeParse(day).data ?? null
}
