import type { Answer, Problem } from '../answer'

/** Said where nothing came back: whether the network or the server is gone, nothing was stored. */
export const UNREACHED: { readonly ok: false; readonly problems: readonly Problem[] } = {
  ok: false,
  problems: [
    { path: '', message: 'The server did not answer. Nothing was stored; try again when it is back.' },
  ],
}

/** Sends a file to a page that takes a whole studio. */
export async function sendFile<T>(path: string, body: FormData | File): Promise<Answer<T>> {
  try {
    return (await (await fetch(path, { method: 'POST', body })).json()) as Answer<T>
  } catch {
    return UNREACHED
  }
}
