import type { Instrumentation } from 'next'

/** Looked at once an hour: the first time soon after the start. */
const HOUR_MS = 3_600_000
const FIRST_MS = 5 * 60_000

/** A page or a route that failed: one line, with the number that its error page shows, and nothing that was typed. */
export const onRequestError: Instrumentation.onRequestError = (
  error,
  { method },
  { routePath, routeType },
) => {
  const of = error as { digest?: string; name?: string; code?: string }
  const said = { id: of.digest ?? '', kind: of.name ?? '', code: of.code ?? '' }
  console.error(
    JSON.stringify({ at: new Date().toISOString(), level: 'error', ...said, method, routePath, routeType }),
  )
}

/** What the server does besides answering: it keeps backups. And what it answers before anything is routed. */
export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME !== 'nodejs') return
  const { answerBrokenAddresses } = await import('./edge/broken-address')
  answerBrokenAddresses()
  if (process.env.LEVITAR_BACKUPS === 'off') return
  const { backUpHourly } = await import('./features/backups')
  setTimeout(() => {
    void backUpHourly()
    setInterval(() => void backUpHourly(), HOUR_MS).unref()
  }, FIRST_MS).unref()
}
