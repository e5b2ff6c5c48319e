import { randomBytes, randomUUID } from 'node:crypto'
import { NextResponse, type NextRequest } from 'next/server'
import { allowedHosts, isAtHome } from './edge/hosts'
import { heldBack, PASS_COOKIE } from './edge/passed-round'
import { ALWAYS, contentPolicy } from './edge/policy'
import { refusalOf } from './edge/refuse'
import { HOME_HEADER, ID_HEADER, PATH_HEADER } from './edge/told'

const hosts = allowedHosts(process.env.LEVITAR_HOSTS)
/** Whether anything else than this machine reaches the server. */
const onNetwork = process.env.LEVITAR_NETWORK === '1' || (process.env.LEVITAR_HOSTS ?? '') !== ''
const isDev = process.env.NODE_ENV === 'development'

/** Before anything is routed: who asks by which name, what a page may run, and where a passed-round tablet may be. */
export function proxy(request: NextRequest): NextResponse {
  const { method, headers: sent } = request
  const refusal = refusalOf({ method, headers: sent, pathname: request.nextUrl.pathname }, hosts)
  if (refusal) return said(new NextResponse(refusal.say, { status: refusal.status }))
  const { pathname } = request.nextUrl
  const back = heldBack(pathname, request.cookies.get(PASS_COOKIE)?.value)
  if (back !== null)
    return said(
      request.method === 'GET'
        ? NextResponse.redirect(new URL(back, request.url), 303)
        : new NextResponse('This tablet is being passed round.', { status: 403 }),
    )
  const nonce = randomBytes(16).toString('base64')
  const policy = contentPolicy(nonce, isDev)
  const headers = new Headers(request.headers)
  const atHome = !onNetwork && isAtHome(request.headers.get('host'), request.headers.get('x-forwarded-for'))
  for (const name of [...headers.keys()]) if (name.startsWith('x-levitar-')) headers.delete(name)
  headers.set(PATH_HEADER, pathname)
  headers.set(HOME_HEADER, atHome ? '1' : '0')
  headers.set(ID_HEADER, randomUUID())
  // What stands before this server may say such things; nobody else is believed, and nothing here needs them.
  for (const name of [...headers.keys()]) if (name.startsWith('x-forwarded-')) headers.delete(name)
  headers.set('x-nonce', nonce)
  headers.set('content-security-policy', policy)
  const response = NextResponse.next({ request: { headers } })
  response.headers.set('content-security-policy', policy)
  return said(response)
}

function said(response: NextResponse): NextResponse {
  for (const [name, value] of ALWAYS) response.headers.set(name, value)
  return response
}
