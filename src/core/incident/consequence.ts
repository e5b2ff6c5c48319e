import type { Day } from '../day'
import type { Load } from '../practice/schema'
import type { Cap } from '../screening/caps'
import type { Incident, IncidentKind } from './incident'

/** A report as far as it bears on what somebody may do: nothing of what was written in it. */
export type Reported = { readonly day: Day; readonly kind: IncidentKind }

/** By what these limits are known inside the health layer. */
const RULE = 'INCIDENT'

type Holds = { readonly tags: Load; readonly instead: string }

const HEAD_LEVEL: Load = { HB: 1, NF: 1, HBH: 1, FR: 2 }

/** What somebody is held out of after something grave, until they were asked again (cautions.md 3). */
const HOLDS: Partial<Readonly<Record<IncidentKind, Holds>>> = {
  'fall-head-neck': {
    tags: HEAD_LEVEL,
    instead:
      'Ask first how head and neck are since the fall. Until then work with the head level, nothing on head or nape.',
  },
  sight: {
    tags: HEAD_LEVEL,
    instead: 'Ask first what an eye clinician said. Until then work with the head level.',
  },
  dizzy: {
    tags: { HBH: 1, FR: 2 },
    instead: 'Ask first whether the dizziness came back. Until then work with the head level.',
  },
  fall: { tags: { FR: 2 }, instead: 'Ask first what the fall left behind. Until then work on the floor.' },
}

/**
 * Limits that follow from reports about somebody: after a fall on head or neck, lost sight, dizziness or a fall they are held
 * out of what it concerns until the health questions were asked again on a later day.
 * @param askedOn the last day on which the health questions were answered, or stated to apply to nothing; null where never
 */
export function capsAfter(reports: readonly Reported[], askedOn: Day | null, asOf: Day): Cap[] {
  const standing = reports.filter(({ day }) => day <= asOf && (askedOn === null || askedOn <= day))
  return [...new Set(standing.map(({ kind }) => kind))].flatMap((kind) => {
    const holds = HOLDS[kind]
    return Object.entries(holds?.tags ?? {}).map(([tag, level]): Cap => ({
      ...{ ruleId: RULE, action: 'avoid', tag: tag as Cap['tag'], level: level as Cap['level'] },
      ...{ mostSeconds: null, instead: holds?.instead ?? '', change: null, needsClearance: false },
    }))
  })
}

/** Whether limits hold somebody out of something on account of a report. */
export function isHeldOut({ caps }: { readonly caps: readonly Pick<Cap, 'ruleId'>[] }): boolean {
  return caps.some(({ ruleId }) => ruleId === RULE)
}

/** Whether a report holds somebody out of anything until they are asked again. */
export function isGrave({ kind }: Pick<Incident, 'kind'>): boolean {
  return HOLDS[kind] !== undefined
}
