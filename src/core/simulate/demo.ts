import type { SegmentName } from '../body/anthropometry'
import { addDays, type Day } from '../day'
import type { Attempt, Observation, Placement, Values } from '../readiness/evidence'
import { writeHlc } from '../teaching/hlc'
import { DEMO_PEOPLE, type DemoPerson } from './demo-people'
import { normal, seeded, uuidAt, type Random } from './random'

export type DemoStudent = {
  id: string
  name: string
  statureCm: number | null
  breathS: number
  measured: Partial<Record<SegmentName, number>>
}

export type DemoClass = {
  id: string
  title: string
  day: Day
  startTime: string
  minutes: number
  bays: number
  roster: string[]
}

export type DemoWorld = {
  studio: {
    name: string
    teacher: string
    assistant: string
    wallCm: number
    bays: number
    straps: number
    blocks: number
    timeZone: string
  }
  students: DemoStudent[]
  observations: Observation[]
  attempts: Attempt[]
  placements: Placement[]
  classes: DemoClass[]
}

const WEEKS = 8
const DEVICE = 'demo-seed'

/**
 * The Boathouse Room with its fourteen people and eight weeks of Tuesday classes, the last of them tonight.
 * The same seed and day give the same world.
 */
export function demoWorld(asOf: Day, seed = 7): DemoWorld {
  const random = seeded(seed)
  const maker = factMaker(random)
  const world: DemoWorld = {
    studio: {
      name: 'The Boathouse Room',
      teacher: 'Ottoline Marsh',
      assistant: 'Bram Teale',
      wallCm: 720,
      bays: 5,
      straps: 6,
      blocks: 12,
      timeZone: 'Europe/London',
    },
    students: [],
    observations: [],
    attempts: [],
    placements: [],
    classes: [],
  }
  for (const person of DEMO_PEOPLE) addPerson(world, person, asOf, random, maker)
  for (let weeksAgo = WEEKS; weeksAgo >= 0; weeksAgo -= 1) {
    const day = addDays(asOf, -7 * weeksAgo)
    const roster = world.students
      .filter((_, i) => (weeksAgo === 0 ? i < 10 : random() > 0.2))
      .map((s) => s.id)
    world.classes.push({
      id: maker.id(day),
      title: 'Tuesday upside down',
      day,
      startTime: '18:30',
      minutes: weeksAgo === 0 ? 30 : 75,
      bays: 2,
      roster,
    })
  }
  return world
}

type Maker = {
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
  })
  const day = (weeksAgo: number): Day => addDays(asOf, -7 * (weeksAgo + 1))
  const away = person.away ?? 0
  const see = (checkId: string, weeksAgo: number, values: Values): void => {
    world.observations.push({
      ...maker.stamp(day(weeksAgo)),
      kind: 'observation',
      studentId,
      checkId,
      values,
      aided: false,
      valid: true,
      faults: [],
      watched: true,
      note: '',
      withdrawn: false,
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
      kind: 'attempt',
      studentId,
      stageId: work.stage,
      level: 'practised',
      outcome: work.clean ? 'clean' : 'not-yet',
      exitControlled: work.exit ?? true,
      help: 'alone',
      faults: work.faults ?? [],
      endedBy: work.clean ? null : 'self',
      classId: null,
      withdrawn: false,
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
