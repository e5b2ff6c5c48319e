import 'server-only'
import { formatDay } from '@/core/day'
import { nextClass } from '@/db/classes'
import { listGroups } from '@/db/groups'
import { listNames } from '@/db/students'
import type { Context } from '../context'

/** Who is looked at: the people of the class to come, one group, or everybody. */
export type Who = { readonly key: string; readonly label: string; readonly count: number }

type Chosen = {
  readonly whos: Who[]
  readonly who: string
  /** By name. */
  readonly people: readonly { id: string; name: string }[]
}

/** Whom a page may be asked for, and whom it shows. @param who `next`, a group’s id or `all`; the first there is else */
export function chosenPeople(ctx: Context, who: string | undefined): Chosen {
  const names = listNames(ctx.scope)
  const whos = whosOf(ctx, names.length)
  const asked = whos.find(({ key }) => key === who) ?? whos[0]
  const wanted = asked?.ids
  return {
    whos: whos.map(({ key, label, count }) => ({ key, label, count })),
    who: asked?.key ?? 'all',
    people: wanted ? names.filter(({ id }) => wanted.has(id)) : names,
  }
}

type Asked = Who & { readonly ids: ReadonlySet<string> | null }

function whosOf({ scope, clock: { today } }: Context, everybody: number): Asked[] {
  const coming = nextClass(scope, today)
  const some = (key: string, label: string, ids: readonly string[]): Asked => ({
    key,
    label,
    count: ids.length,
    ids: new Set(ids),
  })
  return [
    ...(coming
      ? [some('next', coming.day === today ? 'Tonight' : formatDay(coming.day), coming.roster)]
      : []),
    ...listGroups(scope).map(({ id, name, members }) => some(id, name, members)),
    { key: 'all', label: 'Everybody', count: everybody, ids: null },
  ]
}
