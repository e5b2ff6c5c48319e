import { nameOf } from './hosts'

/** What of a request is looked at before anything is routed. */
export type Asked = {
  readonly method: string
  readonly headers: Pick<Headers, 'get'>
}

/** Why a request goes no further. */
export type EdgeRefusal = { readonly status: 403 | 421; readonly say: string }

const READS: readonly string[] = ['GET', 'HEAD']

/**
 * Refuses what no page of this app sends: another name for this machine (a rebound one, finding 7), a write that comes from
 * elsewhere, and anything but a plain visit from another site.
 */
export function refusalOf({ method, headers }: Asked, hosts: ReadonlySet<string>): EdgeRefusal | null {
  const host = headers.get('host')
  if (!hosts.has(nameOf(host)))
    return {
      status: 421,
      say: 'This name does not lead here. Whoever runs this studio names it in LEVITAR_HOSTS.',
    }
  const site = headers.get('sec-fetch-site') ?? 'none'
  const isVisit = READS.includes(method) && headers.get('sec-fetch-mode') === 'navigate'
  if (site !== 'same-origin' && site !== 'none' && !isVisit)
    return { status: 403, say: 'That came from another site.' }
  if (READS.includes(method)) return null
  const origin = headers.get('origin')
  if (origin !== null && hostOf(origin) !== host?.toLowerCase())
    return { status: 403, say: 'That came from another site.' }
  return null
}

function hostOf(origin: string): string | null {
  return URL.canParse(origin) ? new URL(origin).host : null
}
