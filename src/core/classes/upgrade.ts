import { briefSchema, type Brief } from './brief'
import { planSchema, type Plan } from './plan'

/**
 * A stored plan, whatever release wrote it. The first plans carried no version, no limits and a stage for everybody.
 * @returns null where it is no plan at all: the class then reads as unplanned, and the row stays as it is
 */
export function readPlan(stored: unknown): Plan | null {
  const parsed = planSchema.safeParse(
    isRecord(stored) && stored.version === undefined ? fromFirst(stored) : stored,
  )
  return parsed.success ? parsed.data : null
}

/** A stored brief; null where none was kept or it is not one. */
export function readBrief(stored: unknown): Brief | null {
  const parsed = briefSchema.safeParse(stored)
  return parsed.success ? parsed.data : null
}

function fromFirst(stored: Record<string, unknown>): unknown {
  const blocks = Array.isArray(stored.blocks) ? stored.blocks : []
  return {
    ...stored,
    version: 1,
    blocks: blocks.map((block: unknown) =>
      isRecord(block) && Array.isArray(block.versions)
        ? {
            ...block,
            versions: block.versions.map((v: unknown) => ({
              ...(v as object),
              change: null,
              inPlace: false,
            })),
          }
        : block,
    ),
  }
}

function isRecord(value: unknown): value is Record<string, unknown> {
  return typeof value === 'object' && value !== null && !Array.isArray(value)
}
