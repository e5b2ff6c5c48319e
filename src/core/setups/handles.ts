import { estimateBody } from '../body/estimate'
import type { Body } from '../body/estimate'
import type { Point } from '../mechanics/point'
import { USUAL_STOCK, type Stock } from '../props/stock'
import { solveSetup } from './catalogue'
import { CANDIDATES, HELD_BY, type Candidate } from './handle-anchors'
import type { SetupOption, SetupSolution } from './setup'

/** A place on the drawing to take hold of, and along which axis it moves. */
export type Handle = {
  readonly option: SetupOption
  readonly at: Point
  readonly axis: 'x' | 'y'
  readonly anchor: Candidate
}

/** What a handle is held by, in a setup: it must move along its axis, one way, as its option grows. */
type Hold = { readonly anchor: Candidate; readonly axis: Handle['axis'] }

/** Values of an option at which a drawing is solved to learn how its handle moves. */
const SAMPLES = 21
/** A place that moves less than this over the whole range is no handle, cm. */
const LEAST_TRAVEL_CM = 4
/** Back and forth by less than this is rounding, cm. */
const WAVER_CM = 0.05
/** Layers of a stack are no thicker than this, cm; what goes further from drawing to drawing slides. */
const MOST_FOLD_CM = 3
/** From one solved drawing to the next a handle may go this far, or this many times its usual step. */
const MOST_STEP_CM = 1.5
const JUMP = 2.5
/** Two handles closer than this are moved apart across their axis, cm: each is as broad as a finger. */
const APART_CM = 20

/** Handles for the options that show in the drawing; the others have their slider alone. */
export function handlesOf(solution: SetupSolution, options: readonly SetupOption[]): Handle[] {
  const handles: Handle[] = []
  for (const option of options) {
    const hold = holdOf(solution.id, option)
    const at = hold && CANDIDATES[hold.anchor](solution)
    if (!hold || !at) continue
    handles.push({ option, ...hold, at: clearOf(handles, inside(solution, at, hold.axis), hold.axis) })
  }
  return handles
}

/** How a handle moves with its option on one body, everything else as it is. */
export type Track = readonly { readonly value: number; readonly cm: number }[]

/** Solves the drawing along an option's range; what is refused on the way is left out. */
export function trackOf(
  { id, body, options }: SetupSolution,
  { option, anchor, axis }: Pick<Handle, 'option' | 'anchor' | 'axis'>,
  stock: Stock,
): Track {
  return valuesOf(option).flatMap((value) => {
    const solved = solveSetup(id, body, { ...options, [option.key]: value }, stock)
    const at = solved.ok ? CANDIDATES[anchor](solved.value) : null
    return at ? [{ value, cm: at[axis] }] : []
  })
}

/**
 * The value at which a handle lies under the pointer: between two solved drawings, in proportion. Past either end of what
 * can be drawn, the end.
 * @param cm where the pointer is along the axis
 * @param near the value now: of several that fit, the nearest to it
 */
export function valueAt(track: Track, cm: number, near: number): number | null {
  if (isStaircase(track)) return nearestOf(track, cm, near)
  const fits = track.flatMap((from, i) => {
    const to = track[i + 1]
    if (!to || (cm - from.cm) * (cm - to.cm) > 0) return []
    const part = to.cm === from.cm ? 0 : (cm - from.cm) / (to.cm - from.cm)
    return [from.value + part * (to.value - from.value)]
  })
  if (fits.length > 0)
    return fits.reduce((best, v) => (Math.abs(v - near) < Math.abs(best - near) ? v : best))
  return nearestOf(track, cm, near)
}

/** The solved drawing that comes nearest to the pointer; of several as near, the one whose value is nearest. */
function nearestOf(track: Track, cm: number, near: number): number | null {
  const off = (to: Track[number]): number => Math.round(Math.abs(to.cm - cm) * 100)
  const byNearness = track.toSorted(
    (a, b) => off(a) - off(b) || Math.abs(a.value - near) - Math.abs(b.value - near),
  )
  return byNearness[0]?.value ?? null
}

/** Whether a handle goes in steps of one height, as a stack does fold by fold: nothing is drawn in between. */
function isStaircase(track: Track): boolean {
  const moves = track.slice(1).map((to, i) => Math.abs(to.cm - (track[i]?.cm ?? to.cm)))
  const steps = moves.filter((move) => move > WAVER_CM)
  if (steps.some((move) => move > MOST_FOLD_CM)) return false
  const least = Math.min(...steps)
  const whole = (move: number): boolean =>
    Math.abs(move / least - Math.round(move / least)) * least <= WAVER_CM
  return steps.length > 0 && steps.length < moves.length && steps.every(whole)
}

/** Which way a handle goes as its option grows: 1 along the axis, −1 against it. */
export function directionOf(track: Track): 1 | -1 {
  const [first, last] = [track[0], track.at(-1)]
  return first && last && last.cm < first.cm ? -1 : 1
}

function valuesOf({ min, max }: SetupOption): number[] {
  return Array.from({ length: SAMPLES }, (_, i) => min + (i / (SAMPLES - 1)) * (max - min))
}

const holds = new Map<string, Hold | null>()

/**
 * What moves with an option, found by solving it on a body of usual lengths: first what the option is customarily held by,
 * then anything else in the drawing that moves far enough and one way only.
 */
function holdOf(setupId: string, option: SetupOption): Hold | null {
  if (option.unit === 'choice') return null
  const key = `${setupId} ${option.key}`
  const known = holds.get(key)
  if (known !== undefined) return known
  const found = seek(setupId, option)
  holds.set(key, found)
  return found
}

function seek(setupId: string, option: SetupOption): Hold | null {
  const body = usualBody()
  const drawn = valuesOf(option).flatMap((value) => {
    const solved = solveSetup(setupId, body, { [option.key]: value }, USUAL_STOCK)
    return solved.ok ? [solved.value] : []
  })
  const preferred = HELD_BY.find(({ keys }) => keys.includes(option.key))
  const names = Object.keys(CANDIDATES) as Candidate[]
  const order = [...(preferred?.by ?? []), ...names].flatMap((anchor): Hold[] => {
    const axes = preferred ? [preferred.axis, other(preferred.axis)] : (['x', 'y'] as const)
    return axes.map((axis) => ({ anchor, axis }))
  })
  return order.find((hold) => movesOneWay(drawn, hold)) ?? null
}

function movesOneWay(drawn: readonly SetupSolution[], { anchor, axis }: Hold): boolean {
  const places = drawn.map((solution) => CANDIDATES[anchor](solution)?.[axis])
  if (places.length < 2 || places.some((p) => p === undefined)) return false
  const steps = places.slice(1).map((p, i) => (p ?? 0) - (places[i] ?? 0))
  const travel = Math.abs((places.at(-1) ?? 0) - (places[0] ?? 0))
  const oneWay = steps.every((s) => s >= -WAVER_CM) || steps.every((s) => s <= WAVER_CM)
  // What jumps from size to size of a prop cannot follow a finger.
  const longest = Math.max(...steps.map(Math.abs))
  const even = longest <= Math.max(MOST_STEP_CM, (JUMP * travel) / steps.length)
  return oneWay && even && travel >= LEAST_TRAVEL_CM
}

function other(axis: Handle['axis']): Handle['axis'] {
  return axis === 'x' ? 'y' : 'x'
}

let usual: Body | undefined
function usualBody(): Body {
  if (usual) return usual
  const made = estimateBody({ statureCm: 168 })
  if (!made.ok) throw new Error('no usual body')
  usual = made.value
  return usual
}

/** Kept on the drawing across the axis; along it a handle stands where it is held. */
function inside({ scene: { bounds } }: SetupSolution, { x, y }: Point, axis: Handle['axis']): Point {
  return axis === 'x'
    ? { x, y: Math.max(2, Math.min(bounds.maxY - 4, y)) }
    : { x: Math.max(bounds.minX + 4, Math.min(bounds.maxX - 4, x)), y }
}

function clearOf(others: readonly Handle[], at: Point, axis: Handle['axis']): Point {
  const near = (p: Point): boolean => others.some((o) => Math.hypot(o.at.x - p.x, o.at.y - p.y) < APART_CM)
  let place = at
  for (let i = 0; i < 6 && near(place); i += 1)
    place = axis === 'x' ? { x: place.x, y: place.y + APART_CM } : { x: place.x - APART_CM, y: place.y }
  return place
}
