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
