import type { WayOut } from '../screening/ways-out'

/** The ways out that a class goes through, one after the other; what the drill says where a plan names none. */
export function describeRehearsal(usual: string, ways: readonly WayOut[]): string {
  return ways.length === 0 ? usual : ways.map(({ name, do: how }) => `${name}: ${how}`).join(' ')
}
