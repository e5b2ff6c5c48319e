import 'server-only'
import { redirect } from 'next/navigation'
import type { StoreRefusal } from '@/db/migrate'
import { groundOf } from '@/db/open'
import { RAIL } from '@/ui/shell/rail'
import { signInFor } from '@/core/access/where-to'
import { here } from '../page'
import { pathHere } from '../who'
import { levelOf, reaches } from '@/core/access/roles'
import type { Context } from '../context'
import { shellData } from './queries'

/** What goes round every page, or why nothing can be shown at all. */
export async function shellHere(): Promise<
  | (ReturnType<typeof shellData> & ReturnType<typeof askerOf> & { hidden: boolean })
  | { refusal: StoreRefusal['code']; detail: string }
> {
  try {
    const ctx = await here()
    if (ctx.actor.role === 'nobody') redirect(signInFor(await pathHere()))
    return { ...shellData(ctx), ...askerOf(ctx), hidden: ctx.privacy.hidden }
  } catch (error) {
    const ground = groundOf(error)
    if (ground) return { refusal: ground.code, detail: ground.detail }
    throw error
  }
}

/** Who is signed in, which parts are open to them, and whether the screen waits for their password. */
function askerOf({ actor }: Context) {
  return {
    open: RAIL.map(({ href }) => href).filter((href) => reaches(actor.role, levelOf(href))),
    account:
      actor.role === 'device' && !actor.locked
        ? `This tablet: ${actor.name}`
        : actor.accountId === null
          ? 'Who may sign in'
          : `Signed in as ${actor.name}`,
    lock: actor.accountId === null ? null : { name: actor.name, locked: actor.locked },
  }
}
