/** Names under which this machine reaches itself; nothing else leads here unless it is named. */
const OWN = ['127.0.0.1', 'localhost', '[::1]']

/** Names that may stand in a Host header, without a port: this machine's own, and those of `LEVITAR_HOSTS`. */
export function allowedHosts(configured: string | undefined): ReadonlySet<string> {
  const more = (configured ?? '').split(',').map((name) => name.trim().toLowerCase())
  return new Set([...OWN, ...more.filter((name) => name !== '')])
}

/** The name of a Host header or an origin, without its port; empty where it is none. */
export function nameOf(host: string | null): string {
  return /^(\[[0-9a-f:]+\]|[a-z0-9.-]+)(:\d{1,5})?$/i.exec(host ?? '')?.[1]?.toLowerCase() ?? ''
}

const LOOPBACK = /^(::ffff:)?127\.|^::1$/

/**
 * Whether a request comes from this machine itself: by one of its own names, and handed on by nobody from elsewhere. Only
 * where nothing but this machine reaches the server does that say anything.
 * @param forwarded for whom it is handed on, as the framework or a server before it says
 */
export function isAtHome(host: string | null, forwarded: string | null): boolean {
  const from = (forwarded ?? '').split(',').map((part) => part.trim())
  return OWN.includes(nameOf(host)) && from.every((address) => address === '' || LOOPBACK.test(address))
}
