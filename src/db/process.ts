const home = globalThis as typeof globalThis & { levitarProcess?: Map<string, unknown> }

/**
 * What the process has one of, whoever asks first. Pages, routes and the server's own hours are bundled apart, and each has
 * its own copy of every module: what lies in a module is a bundle's, what is made here is everybody's.
 */
export function ofProcess<T>(name: string, make: () => T): T {
  const all = (home.levitarProcess ??= new Map<string, unknown>())
  if (!all.has(name)) all.set(name, make())
  return all.get(name) as T
}
