import { LIGHT_POINTS } from './variants'
import { BESIDE_CM, type Model } from './model'
import type { Option } from './option'
import { piecesFor } from './pieces'
import type { Config } from './skeleton'

/** Who is up in which wave, in which bay, with whose help; by person, -1 or null where it does not apply. */
export type Deal = {
  readonly wave: readonly number[]
  readonly bay: readonly number[]
  /** `teacher` or an assistant's id. */
  readonly helper: readonly (string | null)[]
}

/** Watch points of one teacher, and of each assistant besides (class-craft.md 6). */
export const TEACHER_POINTS = 8
export const ASSISTANT_POINTS = 4
/**
 * What those at light work, waiting or at rest take of the eyes: each a little, all of them half at most. Above a dozen the
 * room is halved (class-craft.md 6): half of the eyes go round the floor, half stay with who is up (docs/decisions/031).
 */
export function lightPoints(people: number, most: number): number {
  return Math.min(LIGHT_POINTS * people, most / 2)
}
/** Eyes in the room: the teacher's and each assistant's. */
export function eyesOf(helpers: readonly unknown[]): number {
  return TEACHER_POINTS + ASSISTANT_POINTS * helpers.length
}
/** What is left of the teacher's while they spot: everybody else does one-point work at most. */
export const SPOTTING_LEFT = 2
/** Kickers in sight, first tries and versions at once. */
export const MOST_KICKERS = 3
export const MOST_FIRST = 1
export const MOST_AT_ONCE = 3

/** At most so many working versions a block, however many waves it has, and so many gentle ones: each has to be said. */
export const MOST_VERSIONS = 5
export const MOST_GENTLE = 2
/** Where people build and stay there is time to go round: so many gentle shapes. */
const GENTLE_STAYS = 4

/** How many gentle versions a block may have. */
export function mostGentle({ stays }: Pick<Config, 'stays'>): number {
  return stays === 'own' ? GENTLE_STAYS : MOST_GENTLE
}

/** Nodes until a block counts as not dealable. */
const NODES = 1500

type Wave = {
  /** Of those at work without a helper; who does something light is counted apart. */
  points: number
  light: number
  working: number[]
  variants: Map<number, number>
  kickers: number
  first: number
  bays: number[]
  pieces: Record<string, number>
  open: number
  helped: number[]
  /** Whether rigs stand through every wave; where each stays for a while, the next build anew. */
  keeps: boolean
}

/** Whether one teacher can say and watch so many versions. */
function sayable(model: Model, config: Config, chosen: readonly (Option | null)[]): boolean {
  const versions = [...new Set(chosen.flatMap((o) => (o ? [o.v] : [])))]
  const gentle = versions.filter((v) => model.variants[v]?.gentle).length
  return (
    gentle <= mostGentle(config) &&
    versions.length - gentle <= Math.min(MOST_VERSIONS, MOST_AT_ONCE * config.waves)
  )
}

/**
 * Deals a block into waves by depth-first search, hardest person first: bays by augmenting paths, pieces, kickers, first
 * tries, versions at once, watch points, helpers.
 * @param chosen option of each person; null waits
 * @returns null where none was found
 */
export function dealWaves(model: Model, config: Config, chosen: readonly (Option | null)[]): Deal | null {
  if (!sayable(model, config, chosen)) return null
  const people = chosen.flatMap((o, i) => (o ? [i] : []))
  const keeps = config.stays !== 'own'
  const rigs = people.filter((i) => keeps && isRig(model, chosen[i]))
  const order = [...people].sort(
    (a, b) => hardness(model, chosen[b], b) - hardness(model, chosen[a], a) || a - b,
  )
  const waves = Array.from({ length: config.waves }, () => emptyWave(keeps))
  for (const wave of waves) for (const i of rigs) standing(model, wave, i, chosen[i])
  const given = new Array<number>(chosen.length).fill(-1)
  let nodes = 0
  const place = (at: number): Deal | null => {
    const person = order[at]
    if (person === undefined) return finished(model, waves, given, chosen)
    const option = chosen[person]
    if (!option) return null
    let emptyTried = false
    for (const { wave, g } of levelFirst(waves, option)) {
      if (wave.working.length === 0) {
        if (emptyTried) continue
        emptyTried = true
      }
      nodes += 1
      if (nodes > NODES) return null
      const undo = join(model, wave, person, option, chosen)
      if (!undo) continue
      given[person] = g
      const found = place(at + 1)
      if (found) return found
      given[person] = -1
      undo()
      if (nodes > NODES) return null
    }
    return null
  }
  if (waves.some((w) => w.open > model.open || overStock(model, w.pieces) || !matched(model, w, chosen)))
    return null
  return place(0)
}

function emptyWave(keeps: boolean): Wave {
  return {
    ...{
      points: 0,
      light: 0,
      working: [],
      variants: new Map(),
      kickers: 0,
      first: 0,
      bays: [],
      pieces: {},
      open: 0,
    },
    helped: [],
    keeps,
  }
}

function isRig(model: Model, option: Option | null | undefined): boolean {
  return option ? (model.variants[option.v]?.rig ?? false) : false
}

function hardness(model: Model, option: Option | null | undefined, person: number): number {
  if (!option) return 0
  const variant = model.variants[option.v]
  const debt = model.people[person]?.waited.wall ?? 0
  return (
    (option.first ? 64 : 0) +
    (option.helper ? 32 : 0) +
    (variant?.kick ? 16 : 0) +
    option.points * 4 +
    (option.bays > 0 ? 2 : 0) +
    debt / 4
  )
}

/** Waves with the fewest points first; a version that is up there already saves explaining. */
function levelFirst(waves: readonly Wave[], { v, points }: Option): { wave: Wave; g: number }[] {
  const cost = (w: Wave): number =>
    w.points + LIGHT_POINTS * w.light - (w.variants.has(v) && points <= 1 ? 0.6 : 0)
  return waves.map((wave, g) => ({ wave, g })).sort((a, b) => cost(a.wave) - cost(b.wave) || a.g - b.g)
}

/** A rig holds its bay and its pieces in every wave. */
function standing(model: Model, wave: Wave, person: number, option: Option | null | undefined): void {
  if (!option) return
  if (option.bays > 0) wave.bays.push(person)
  addPieces(model, wave, person, option, 1)
  if (option.openFloor) wave.open += 1
}

function addPieces(model: Model, wave: Wave, at: number, { v }: Option, times: number): void {
  const [variant, person] = [model.variants[v], model.people[at]]
  if (!variant || !person) return
  for (const { kind, count } of piecesFor(model.stock, variant, person))
    wave.pieces[kind] = (wave.pieces[kind] ?? 0) + times * count
}

function overStock({ stock }: Model, pieces: Readonly<Record<string, number>>): boolean {
  return Object.entries(pieces).some(([kind, n]) => n > (stock[kind] ?? 0))
}

/** Puts somebody into a wave; null where a rule is against it, else how to take them out again. */
function join(
  model: Model,
  wave: Wave,
  person: number,
  option: Option,
  chosen: readonly (Option | null)[],
): (() => void) | null {
  const variant = model.variants[option.v]
  const isNew = !variant?.gentle && !wave.variants.has(option.v)
  if (wave.kickers + Number(variant?.kick ?? false) > MOST_KICKERS) return null
  if (wave.first + Number(option.first) > MOST_FIRST || (isNew && wave.variants.size >= MOST_AT_ONCE))
    return null
  count(model, wave, person, option, 1)
  if (within(model, wave, chosen)) return () => count(model, wave, person, option, -1)
  count(model, wave, person, option, -1)
  return null
}

/** Adds somebody to what a wave takes, or takes them away again. */
function count(model: Model, wave: Wave, person: number, option: Option, way: 1 | -1): void {
  const variant = model.variants[option.v]
  const list = (all: number[]): void => {
    if (way === 1) all.push(person)
    else all.pop()
  }
  // A rig stands there in every wave already.
  if (!variant?.rig || !wave.keeps) {
    if (option.bays > 0) list(wave.bays)
    addPieces(model, wave, person, option, way)
    wave.open += option.openFloor ? way : 0
  }
  wave.kickers += variant?.kick ? way : 0
  wave.first += option.first ? way : 0
  list(wave.working)
  if (!variant?.gentle) {
    const n = (wave.variants.get(option.v) ?? 0) + way
    if (n > 0) wave.variants.set(option.v, n)
    else wave.variants.delete(option.v)
  }
  if (option.helper) list(wave.helped)
  else if (option.points > LIGHT_POINTS) wave.points += way * option.points
  else wave.light += way
}

/** Whether bays, floor, pieces and eyes are enough for a wave as far as it is filled. */
function within(model: Model, wave: Wave, chosen: readonly (Option | null)[]): boolean {
  const total = chosen.length
  const waiting = total - wave.working.length
  const most = eyesOf(model.helpers)
  const spots = ASSISTANT_POINTS * Math.min(wave.helped.length, model.helpers.length)
  const light = wave.light + (wave.helped.length > model.helpers.length ? 0 : waiting)
  const watched = wave.points + lightPoints(light, most) + spots
  return (
    baysTaken(model, wave, chosen) <= model.bays &&
    wave.open <= model.open &&
    watched <= most + 1e-9 &&
    !overStock(model, wave.pieces)
  )
}

/** Who takes a bay together, and which bays will do. */
type Node = { readonly people: readonly number[]; readonly mask: number }

/** Bays for a wave by augmenting paths; fixed ones are kept. Null where somebody finds none. */
function matchBays(bays: number, wanting: readonly Node[]): Map<number, number> | null {
  const owner = new Array<Node | null>(bays).fill(null)
  const seek = (node: Node, seen: Set<number>): boolean => {
    for (let b = 0; b < bays; b += 1) {
      if (!((node.mask >> b) & 1) || seen.has(b)) continue
      seen.add(b)
      const now = owner[b] ?? null
      if (now === null || seek(now, seen)) {
        owner[b] = node
        return true
      }
    }
    return false
  }
  // Whom fewest bays will do for goes first, so that narrow ones are kept for them.
  const count = (m: number): number => m.toString(2).replaceAll('0', '').length
  const first = (node: Node): number => node.people[0] ?? 0
  for (const node of [...wanting].sort((a, b) => count(a.mask) - count(b.mask) || first(a) - first(b)))
    if (!seek(node, new Set())) return null
  return new Map(owner.flatMap((node, b) => (node?.people ?? []).map((person) => [person, b] as const)))
}

function matched(model: Model, wave: Wave, chosen: readonly (Option | null)[]): boolean {
  return bayed(model, wave.bays, chosen) !== null
}

/** A bay for each of some people among those that are free; two who lie beside each other share one where it must be. */
function bayed(
  model: Model,
  people: readonly number[],
  chosen: readonly (Option | null)[],
  free = -1,
): Map<number, number> | null {
  const each = people.map((person): Node => ({ people: [person], mask: (chosen[person]?.bays ?? 0) & free }))
  const alone = matchBays(model.bays, each)
  if (alone || model.wideBays === 0) return alone
  const lying = each.filter((node) => liesBeside(model, chosen[node.people[0] ?? -1]))
  const pairs = lying.flatMap((node, i): Node[] => {
    const other = lying[i + 1]
    if (i % 2 === 1) return []
    if (!other) return [node]
    return [{ people: [...node.people, ...other.people], mask: node.mask & other.mask & model.wideBays }]
  })
  return matchBays(model.bays, [...each.filter((node) => !lying.includes(node)), ...pairs])
}

/** Whether somebody lies so that another may lie beside them in one bay. */
function liesBeside(model: Model, option: Option | null | undefined): boolean {
  return option ? (model.variants[option.v]?.widthCm ?? Infinity) <= BESIDE_CM : false
}

/** How many bays a wave takes at least. */
function baysTaken(model: Model, wave: Wave, chosen: readonly (Option | null)[]): number {
  const lying = wave.bays.filter((person) => liesBeside(model, chosen[person])).length
  return wave.bays.length - Math.floor(lying / 2)
}

/** Bays and helpers once everybody has a wave; rigs keep one bay through all of them. */
function finished(
  model: Model,
  waves: readonly Wave[],
  given: readonly number[],
  chosen: readonly (Option | null)[],
): Deal | null {
  const bay = new Array<number>(chosen.length).fill(-1)
  const rigs = chosen.flatMap((o, i) => (o && o.bays > 0 && waves[0]?.keeps && isRig(model, o) ? [i] : []))
  const first = bayed(model, rigs, chosen)
  if (!first) return null
  let free = (1 << model.bays) - 1
  for (const [person, b] of first) {
    bay[person] = b
    free &= ~(1 << b)
  }
  for (const wave of waves) {
    const others = wave.bays.filter((i) => !wave.keeps || !isRig(model, chosen[i]))
    const found = bayed(model, others, chosen, free)
    if (!found) return null
    for (const [person, b] of found) bay[person] = b
  }
  const helper = new Array<string | null>(chosen.length).fill(null)
  for (const wave of waves) if (!helpersFor(model, wave, chosen, helper)) return null
  return { wave: [...given], bay, helper }
}

/** Helpers of one wave: assistants trained in it, then the teacher; and whether what is left of the eyes is enough. */
function helpersFor(
  model: Model,
  wave: Wave,
  chosen: readonly (Option | null)[],
  helper: (string | null)[],
): boolean {
  const free = [...model.helpers]
  let teacher = false
  for (const person of wave.helped) {
    const assists = model.variants[chosen[person]?.v ?? -1]?.assists ?? []
    const at = free.findIndex((h) => assists.some((a) => h.trained.includes(a)))
    const found = at < 0 ? undefined : free.splice(at, 1)[0]
    if (found) helper[person] = found.id
    else if (teacher) return false
    else {
      teacher = true
      helper[person] = 'teacher'
    }
  }
  const [all, left] = [eyesOf(model.helpers), eyesOf(free)]
  const light = wave.light + chosen.length - wave.working.length
  if (!teacher) return wave.points + lightPoints(light, all) <= left + 1e-9
  const heavy = wave.working.some((i) => !wave.helped.includes(i) && (chosen[i]?.points ?? 0) > 1)
  // Whoever only waits or rests then counts nothing: what is left of the eyes is for those at work.
  const watched = wave.points + lightPoints(wave.light, all)
  return !heavy && watched <= SPOTTING_LEFT + ASSISTANT_POINTS * free.length + 1e-9
}
