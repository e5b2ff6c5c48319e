'use client'

/** Stands alone: what goes round every page may be what failed. */
export default function GlobalError({
  error,
  reset,
}: {
  error: Error & { digest?: string }
  reset: () => void
}) {
  return (
    <html lang="en">
      <body style={{ font: '20px/1.5 system-ui', maxWidth: '36rem', margin: '15vh auto', padding: '0 1rem' }}>
        <h1>Levitar stumbled</h1>
        <p>
          Nothing that was stored is lost. Try once more; if it stays, whoever runs the machine types “npm run
          doctor”.
        </p>
        {error.digest ? <p>It is noted under {error.digest}.</p> : null}
        <button type="button" onClick={reset} style={{ font: 'inherit', padding: '0.5rem 1rem' }}>
          Try once more
        </button>
      </body>
    </html>
  )
}
