/** Finds by id; a missing id is a bug in the data. Apart from the library, so that a screen may have it without the data. */
export function findById<T extends { id: string }>(list: readonly T[], id: string): T {
  const found = list.find((item) => item.id === id)
  if (!found) throw new Error(`no entry ${id} in the practice`)
  return found
}
