import 'server-only'
import { formatDay } from '@/core/day'
import { SCOPE_WORDS } from '@/core/words/api'
import { list } from '@/core/words/number'
import { listApiTokens } from '@/db/api-tokens'
import type { Context } from '../context'

/** A token as the owner sees it: never the token itself. */
export type TokenLine = {
  readonly id: string
  readonly name: string
  readonly reads: string
  readonly when: string
  readonly open: boolean
}

/** Every token that was made, with what it reads and when it was used last. */
export function tokenLines({ scope, clock }: Context): TokenLine[] {
  return listApiTokens(scope).map(({ id, name, scopes, lastDay, usedDay, ended }) => {
    const open = !ended && lastDay >= clock.today
    const used = usedDay === null ? 'never used' : `last used ${formatDay(usedDay)}`
    return {
      ...{ id, name, open },
      reads: list(scopes.map((s) => SCOPE_WORDS[s].toLowerCase())),
      when: `${open ? `good until ${formatDay(lastDay)}` : ended ? 'ended' : `over since ${formatDay(lastDay)}`}, ${used}`,
    }
  })
}
