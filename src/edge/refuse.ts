import { nameOf } from './hosts'
import { mostBytes, takesLarge } from './sizes'

/** What of a request is looked at before anything is routed. */
export type Asked = {
  readonly method: string
  readonly headers: Pick<Headers, 'get'>
  readonly pathname: string
}

/** Why a request goes no further. */
export type EdgeRefusal = { readonly status: 403 | 411 | 413 | 421; readonly say: string }

const READS: readonly string[] = ['GET', 'HEAD']

/**
 * Refuses what no page of this app sends: another name for this machine (a rebound one, finding 7), a write that comes from
 * elsewhere or is larger than its page takes, and anything but a plain visit from another site.
 */
export function refusalOf(
  { method, headers, pathname }: Asked,
  hosts: ReadonlySet<string>,
): EdgeRefusal | null {
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
  if (Number(headers.get('content-length') ?? 0) > mostBytes(pathname))
    return { status: 413, say: 'That is more than is taken here.' }
  // What does not say how long it is would be taken up to the most that any page takes.
  if (headers.get('transfer-encoding') !== null && !takesLarge(pathname))
    return { status: 411, say: 'Say first how long it is.' }
  const origin = headers.get('origin')
  if (origin !== null && hostOf(origin) !== host?.toLowerCase())
    return { status: 403, say: 'That came from another site.' }
  return null
}

function hostOf(origin: string): string | null {
  return URL.canParse(origin) ? new URL(origin).host : null
}
