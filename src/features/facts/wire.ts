/**
 * What became of one fact. `known`: it was there already. `refused`: for good, with the sentence to show. `again`: the store
 * could not take it now; it has to be sent once more.
 */
export type FactAnswer =
  | { readonly id: string; readonly state: 'stored' | 'known' | 'again' }
  | { readonly id: string; readonly state: 'refused'; readonly why: string }

/** What a batch comes back as. */
export type Received = { readonly answers: readonly FactAnswer[] }

/** What the server says its clock shows, with every batch. */
export type ServerTime = { readonly nowMs: number; readonly timeZone: string }
