import type { SegmentName } from '../body/anthropometry'
import { addDays, type Day } from '../day'
import {
  PLAIN_RESULT,
  PLAIN_TRY,
  type Attempt,
  type DrillDone,
  type Observation,
  type Placement,
  type Values,
} from '../readiness/evidence'
import { writeHlc } from '../facts/hlc'
import type { Attended } from '../attendance/odds'
import type { PropItem } from '../props/inventory'
import type { EmergencyCard } from '../room/emergency'
import type { Room } from '../room/room'
import { isHealth, type Answer } from '../screening/answers'
import type { Clearance } from '../screening/clearance'
import type { CheckIn } from '../screening/tonight'
import { findById } from '../practice/find'
import { shippedPractice } from '../practice/library'
import { answersOf, cameBy, clearanceOf, DEMO_CHECK_INS, DEMO_HEALTH } from './demo-health'
import { DEMO_EMERGENCY, DEMO_ROOM, demoCupboard } from './demo-room'
import { addFamilies } from './demo-families'
import { demoDrills } from './demo-drills'
import { demoRanges } from './demo-ranges'
import { DEMO_PEOPLE, type DemoPerson } from './demo-people'
import { normal, seeded, uuidAt, type Random } from '../random'

export type DemoStudent = {
  id: string
  name: string
  statureCm: number | null
  breathS: number
  measured: Partial<Record<SegmentName, number>>
  contact: string
}

/** What somebody said of their health, on a day. */
export type DemoSaid = {
  id: string
  studentId: string
  day: Day
  answers: Answer[]
  nothingApplies: Day | null
  gentle: boolean | null
}

export type DemoGroup = {
  id: string
  name: string
  weekday: number
  startTime: string
  minutes: number
  members: string[]
}

export type DemoClass = {
  id: string
  title: string
  day: Day
  startTime: string
  minutes: number
  bays: number
  groupId: string
  roster: string[]
  /** Who came, once it is over; `dropIns` were not booked. */
  attended: Record<string, Attended>
  dropIns: string[]
}

export type DemoWorld = {
  studio: {
    name: string
    teacher: string
    timeZone: string
    room: Room
    emergency: EmergencyCard
  }
  cupboard: PropItem[]
  assistants: { id: string; name: string; trained: string[]; restsUntil: Day | null }[]
  groups: DemoGroup[]
  said: DemoSaid[]
  clearances: { id: string; studentId: string; clearance: Clearance }[]
  checkIns: { id: string; studentId: string; checkIn: CheckIn }[]
  students: DemoStudent[]
  observations: Observation[]
  attempts: Attempt[]
  placements: Placement[]
  drills: DrillDone[]
  classes: DemoClass[]
}

const WEEKS = 8
const DEVICE = 'demo-seed'

/**
 * The Boathouse Room with its fourteen people and eight weeks of Tuesday classes, the last of them tonight, and the seven of
 * the Thursday group, who work in the other families.
 * The same seed and day give the same world.
 */
export function demoWorld(asOf: Day, seed = 7): DemoWorld {
  const random = seeded(seed)
  const maker = factMaker(random)
  const world: DemoWorld = {
    studio: {
      name: 'The Boathouse Room',
      teacher: 'Ottoline Marsh',
      timeZone: 'Europe/London',
      room: DEMO_ROOM,
      emergency: DEMO_EMERGENCY,
    },
    cupboard: [],
    assistants: [],
    groups: [],
    said: [],
    clearances: [],
    checkIns: [],
    students: [],
    observations: [],
    attempts: [],
    placements: [],
    drills: [],
    classes: [],
  }
  for (const person of DEMO_PEOPLE) addPerson(world, person, asOf, random, maker)
  addClasses(world, asOf, random, maker)
  // Later parts of the world draw from their own streams, so that the earlier ones stay as they are.
  addHealth(world, asOf, factMaker(seeded(seed + 1000)))
  addStudio(world, asOf, factMaker(seeded(seed + 2000)))
  world.observations.push(...demoRanges(world.students, asOf, factMaker(seeded(seed + 3000))))
  addFamilies(world, asOf, factMaker(seeded(seed + 4000)))
  world.drills.push(...demoDrills(world.classes, asOf, factMaker(seeded(seed + 5000))))
  return world
}

/** Eight weeks of one class, the last of them tonight. */
function addClasses(world: DemoWorld, asOf: Day, random: Random, maker: Maker): void {
  const groupId = maker.id(addDays(asOf, -7 * WEEKS))
  const came = seeded(99)
  for (let weeksAgo = WEEKS; weeksAgo >= 0; weeksAgo -= 1) {
    const day = addDays(asOf, -7 * weeksAgo)
    const roster = world.students
      .filter((_, i) => (weeksAgo === 0 ? i < 10 : random() > 0.2))
      .map((s) => s.id)
    const attended =
      weeksAgo === 0 ? [] : roster.map((id) => [id, cameBy(came(), isAway(world, id, weeksAgo))] as const)
    world.classes.push({
      id: maker.id(day),
      title: 'Tuesday upside down',
      day,
      startTime: '18:30',
      minutes: 75,
      bays: 5,
      groupId,
      roster,
      attended: Object.fromEntries(attended),
      dropIns: weeksAgo === 3 ? roster.slice(-1) : [],
    })
  }
  world.groups.push({
    id: groupId,
    name: 'Tuesday upside down',
    weekday: 2,
    startTime: '18:30',
    minutes: 75,
    members: world.students.slice(0, 11).map((s) => s.id),
  })
}

function isAway(world: DemoWorld, id: string, weeksAgo: number): boolean {
  const person = DEMO_PEOPLE[world.students.findIndex((s) => s.id === id)]
  return weeksAgo <= (person?.away ?? 0)
}

/** Answers, clearances and tonight's first check-ins. */
function addHealth(world: DemoWorld, asOf: Day, maker: Maker): void {
  const questions = shippedPractice()
    .intake.filter(isHealth)
    .map((q) => q.id)
  for (const { id: studentId, name } of world.students) {
    const health = DEMO_HEALTH[name]
    const checkIn = DEMO_CHECK_INS[name]
    if (health) {
      const day = addDays(asOf, -7 * health.weeksAgo)
      world.said.push({
        id: maker.id(day),
        studentId,
        day,
        answers: answersOf(health, questions, asOf),
        nothingApplies: health.nothingApplies ? day : null,
        gentle: health.gentle ?? null,
      })
      const clearance = clearanceOf(health, asOf)
      if (clearance) world.clearances.push({ id: maker.id(day), studentId, clearance })
    }
    if (checkIn) world.checkIns.push({ id: maker.id(asOf), studentId, checkIn: { ...checkIn, day: asOf } })
  }
}

/** Who helps, and the cupboard. */
function addStudio(world: DemoWorld, asOf: Day, maker: Maker): void {
  const id = (): string => maker.id(asOf)
  world.cupboard = demoCupboard(asOf, id)
  world.assistants = [
    {
      id: id(),
      name: 'Bram Teale',
      trained: ['AS-scapula-check', 'AS-blades-dog', 'AS-blades-l', 'AS-kick-catch', 'AS-hips-steady'],
      restsUntil: null,
    },
  ]
}

export type Maker = {
  id: (day: Day) => string
  stamp: (day: Day) => { id: string; day: Day; hlc: string; replaces: null }
}

function factMaker(random: Random): Maker {
  let counter = 0
  const id = (day: Day): string => uuidAt(random, Date.parse(`${day}T19:00:00Z`) + counter)
  return {
    id,
    stamp(day) {
      counter += 1
      const ms = Date.parse(`${day}T19:00:00Z`) + counter
      return { id: id(day), day, hlc: writeHlc({ ms, counter: 0 }, DEVICE), replaces: null }
    },
  }
}

function addPerson(world: DemoWorld, person: DemoPerson, asOf: Day, random: Random, maker: Maker): void {
  const studentId = maker.id(addDays(asOf, -7 * WEEKS))
  world.students.push({
    id: studentId,
    name: person.name,
    statureCm: person.statureCm,
    breathS: person.breathS ?? 5,
    measured: person.measured ?? {},
    contact: '',
  })
  const day = (weeksAgo: number): Day => addDays(asOf, -7 * (weeksAgo + 1))
  const away = person.away ?? 0
  const see = (checkId: string, weeksAgo: number, values: Values): void => {
    world.observations.push({
      ...maker.stamp(day(weeksAgo)),
      ...PLAIN_RESULT,
      studentId,
      checkId,
      values,
    })
  }
  if (person.hold) {
    const [first, last] = person.hold
    for (let weeksAgo = WEEKS - 1; weeksAgo >= away; weeksAgo -= 1) {
      const share = (WEEKS - 1 - weeksAgo) / (WEEKS - 1)
      const value = weeksAgo === away ? last : Math.max(4, normal(random, first + (last - first) * share, 2))
      if (weeksAgo % 2 === away % 2 || weeksAgo <= away + 2)
        see('CK-dolphin-hold', weeksAgo, { single: Math.round(value) })
    }
  }
  const sides = ([left, right]: readonly [number, number]): Values => ({ left, right })
  for (const weeksAgo of [away + 2, away + 1, away]) {
    if (person.headClearCm !== undefined) see('CK-head-clear', weeksAgo, { single: person.headClearCm })
    if (person.legLift) see('CK-leg-lift-forearm', weeksAgo, sides(person.legLift))
    if (person.kick) see('CK-kick-height', weeksAgo, sides(person.kick))
    if (person.overheadFists) see('CK-forearm-overhead', weeksAgo, sides(person.overheadFists))
  }
  if (person.pelvicSet !== undefined) see('CK-pelvic-set', away, { single: person.pelvicSet ? 1 : 0 })
  if (person.plankS !== undefined) see('CK-forearm-plank', away, { single: person.plankS })
  if (person.driftCm !== undefined) see('CK-elbow-drift', away, { single: person.driftCm })
  for (const work of person.worked ?? []) {
    world.attempts.push({
      ...maker.stamp(day(work.weeksAgo)),
      ...PLAIN_TRY,
      studentId,
      stageId: work.stage,
      setupId: work.setup ?? findById(shippedPractice().stages, work.stage).setups[0] ?? null,
      level: work.level ?? 'practised',
      lead: work.lead ?? null,
      seconds: work.seconds ?? null,
      outcome: work.clean ? 'clean' : 'not-yet',
      exitControlled: work.exit ?? true,
      faults: work.faults ?? [],
      endedBy: work.clean ? null : 'self',
    })
  }
  if (person.placedAt)
    world.placements.push({
      ...maker.stamp(day(person.placedAt.weeksAgo)),
      kind: 'placement',
      studentId,
      stageId: person.placedAt.stage,
    })
}
