/** Looked at once an hour: the first time soon after the start. */
const HOUR_MS = 3_600_000
const FIRST_MS = 5 * 60_000

/** What the server does besides answering: it keeps backups. */
export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME !== 'nodejs' || process.env.LEVITAR_BACKUPS === 'off') return
  const { backUpHourly } = await import('./features/backups')
  setTimeout(() => {
    void backUpHourly()
    setInterval(() => void backUpHourly(), HOUR_MS).unref()
  }, FIRST_MS).unref()
}
