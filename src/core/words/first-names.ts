/** The first of somebody's names. */
export function firstName(name: string): string {
  return name.trim().split(/\s+/)[0] ?? name
}

/** What each is called in one room: the first name, with the next initial where two share it. */
export function firstNames(names: readonly string[]): (name: string) => string {
  const taken = new Map<string, number>()
  for (const name of new Set(names)) taken.set(firstName(name), (taken.get(firstName(name)) ?? 0) + 1)
  return (name) => {
    const first = firstName(name)
    const next = name.trim().split(/\s+/)[1]?.[0]
    return (taken.get(first) ?? 0) > 1 && next ? `${first} ${next}.` : first
  }
}
