import { Server, type IncomingMessage, type ServerResponse } from 'node:http'
import { ALWAYS } from './policy'

/** Whether an address holds a percent sign that stands for nothing: no page has such a name. */
export function isBroken(url: string): boolean {
  try {
    decodeURIComponent(url.split(/[?#]/, 1)[0] ?? '')
    return false
  } catch {
    return true
  }
}

const SAID = Symbol.for('levitar.broken-address')

/**
 * Answers what cannot be read as an address with a plain 404 and every header. The framework would end it with a fault of
 * its own before anything of this app is asked, and without a header.
 */
export function answerBrokenAddresses(): void {
  const proto = Server.prototype as Server & { [SAID]?: true }
  if (proto[SAID]) return
  proto[SAID] = true
  const emit = Reflect.get(proto, 'emit') as (this: Server, name: string, ...given: unknown[]) => boolean
  proto.emit = function (this: Server, name: string, ...given: unknown[]): boolean {
    if (name !== 'request') return emit.call(this, name, ...given)
    const [asked, answer] = given as [IncomingMessage, ServerResponse]
    if (!isBroken(asked.url ?? '/')) return emit.call(this, name, ...given)
    for (const [header, value] of ALWAYS) answer.setHeader(header, value)
    answer.writeHead(404, { 'content-type': 'text/plain; charset=utf-8', 'cache-control': 'no-store' })
    answer.end('There is nothing at that address.')
    return true
  } as Server['emit']
}
