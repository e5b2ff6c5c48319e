import { USUAL_AIM } from './aim'
import { briefSchema, type Brief } from './brief'
import { NOTHING_FIXED } from './fixed'
import { planSchema, type Plan } from './plan'

/**
 * A stored plan, whatever release wrote it. The first plans carried no version, no limits and a stage for everybody; the
 * second spoke of one family and counted straps and blocks.
 * @returns null where it is no plan at all: the class then reads as unplanned, and the row stays as it is
 */
export function readPlan(stored: unknown): Plan | null {
  const parsed = planSchema.safeParse(isRecord(stored) && isEarlier(stored) ? fromEarlier(stored) : stored)
  return parsed.success ? parsed.data : null
}

/** A stored brief; null where none was kept or it is not one. */
export function readBrief(stored: unknown): Brief | null {
  const parsed = briefSchema.safeParse(
    isRecord(stored) && stored.version === 1 ? briefFromFirst(stored) : stored,
  )
  return parsed.success ? parsed.data : null
}

function isEarlier({ version }: Record<string, unknown>): boolean {
  return version === undefined || version === 1
}

function fromEarlier({ minutes, blocks }: Record<string, unknown>): unknown {
  return {
    ...{ version: 2, minutes, aim: USUAL_AIM, pull: [], warnings: [], points: null },
    blocks: list(blocks).map(blockFromEarlier),
  }
}

function blockFromEarlier(block: Record<string, unknown>): unknown {
  const { kind, startS, seconds } = block
  if (kind === 'skill') {
    const { sets, workS, restS } = block
    const people = list(block.versions).map((v) => doingFrom(v, { wave: 1, turns: sets, place: null }))
    return {
      ...{
        kind,
        startS,
        seconds,
        purpose: 'skill:FS',
        setupS: 0,
        sets,
        waves: 1,
        workS,
        gapS: restS,
        people,
      },
    }
  }
  if (kind !== 'waves') return { kind, startS, seconds, items: block.items ?? [] }
  const turns = list(block.turns)
  const waves = Math.max(1, ...turns.map((t) => Number(t.wave)))
  const each = turns.length > 1 ? Number(turns[1]?.startS) - Number(turns[0]?.startS) : Number(block.turnS)
  const up = turns.flatMap((t) => list(t.up).map((u): Record<string, unknown> => ({ ...u, wave: t.wave })))
  return {
    ...{
      kind: 'peak',
      startS,
      seconds,
      purpose: 'peak:FS',
      setupS: 0,
      sets: Math.max(1, Number(block.sets)),
      waves,
    },
    workS: block.turnS,
    gapS: Math.max(0, each - Number(block.turnS)),
    people: list(block.versions).map((v) => {
      const mine = up.filter((u) => u.studentId === v.studentId)
      const bay = mine[0]?.bay
      return doingFrom(v, {
        wave: mine[0]?.wave ?? 1,
        turns: mine.length,
        place: typeof bay === 'number' ? `bay-${bay}` : null,
      })
    }),
  }
}

function doingFrom(version: Record<string, unknown>, at: Record<string, unknown>): unknown {
  const { studentId, stageId, setupId, override, straps, blocks } = version
  const props = [
    { kind: 'strap', count: Number(straps) },
    { kind: 'block', count: Number(blocks) },
  ].filter(({ count }) => count > 0)
  return {
    ...{ studentId, variantId: stageId, setupId, override, props, ...at },
    ...{ holdS: null, reps: 1, tries: 0, sides: false, helper: null, waiting: null },
    change: version.change ?? null,
    inPlace: version.inPlace ?? false,
  }
}

function briefFromFirst(stored: Record<string, unknown>): unknown {
  const room = isRecord(stored.room) ? stored.room : {}
  const cupboard = isRecord(stored.cupboard) ? stored.cupboard : {}
  return {
    ...{ version: 2, day: stored.day, minutes: stored.minutes, aim: USUAL_AIM },
    room: {
      bays: Array.from({ length: Number(room.bays) }, (_, i) => ({
        id: `bay-${i + 1}`,
        widthCm: 120,
        corner: false,
      })),
      mats: null,
      open: 1,
    },
    cupboard: {
      listed: true,
      lines: [
        { id: 'strap', kind: 'strap', longCm: null, count: cupboard.straps },
        { id: 'block', kind: 'block', longCm: null, count: cupboard.blocks },
      ],
    },
    people: list(stored.people).map((p) => ({
      ...p,
      ...{
        heightCm: null,
        loopCm: null,
        grown: {},
        weaker: {},
        firstMonth: false,
        waited: { wall: 0, help: 0 },
        recent: [],
      },
      families: Object.fromEntries(
        Object.entries(isRecord(p.families) ? p.families : {}).map(([family, reach]) => [
          family,
          { ...(reach as object), closeness: 0, lacks: {} },
        ]),
      ),
    })),
    ...{
      helpers: stored.helpers,
      locks: stored.locks,
      fixed: NOTHING_FIXED,
      strengthFirst: false,
      newThing: 'middle',
    },
  }
}

function list(value: unknown): Record<string, unknown>[] {
  return Array.isArray(value) ? value.filter(isRecord) : []
}

function isRecord(value: unknown): value is Record<string, unknown> {
  return typeof value === 'object' && value !== null && !Array.isArray(value)
}
