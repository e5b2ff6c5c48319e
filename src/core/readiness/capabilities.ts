import type { Library } from '../practice/library'
import type { Drill, Fault } from '../practice/schema'

export type Capability = keyof Drill['for']
export type Cause = Fault['causes'][number]

/** A drill that trains a capability less than this hardly covers it. */
export const COVERS_FROM = 2

/** Checks that tell on a capability. */
export function checksOf({ capabilities }: Library, capability: Capability): readonly string[] {
  return capabilities.find((c) => c.id === capability)?.checks ?? []
}

/** What a shortage of a capability shows as: too little force, too little range, or not yet the knack of it. */
export function showsAs({ capabilities }: Library, capability: Capability): Cause | undefined {
  return capabilities.find((c) => c.id === capability)?.showsAs
}
