'use server'

import { z } from 'zod'
import { EMPTY_CARD } from '@/core/room/emergency'
import { isImpossible, ROOM_RANGE, roomProblems, SIDES, type Room } from '@/core/room/room'
import { CONDITIONS } from '@/core/props/inventory'
import { LOAD_TAGS } from '@/core/practice/schema'
import { ATTEMPT_CAP } from '@/core/approaches/floor'
import { describeRoom } from '@/core/words/room'
import { removeAssistant, saveAssistant } from '@/db/assistants'
import { markChecked, removeProp, saveProp } from '@/db/inventory'
import { saveStudio } from '@/db/studio'
import { action } from '../action'
import { done, problem } from '../answer'
import { idField, nameField } from '../fields'
import { paletteEntries } from './queries'

/** What the palette finds besides pages. */
export const findEntries = action(z.null(), (ctx) => done(paletteEntries(ctx)), { refresh: false })

export const setUnits = action(z.enum(['cm', 'in']), ({ scope }, units) => {
  saveStudio(scope, { units })
  return done(units)
})

const label = (most: number) => z.string().trim().max(most, `At most ${most} characters.`)

/** A time zone that this machine knows. */
const zoneField = z.string().refine((zone) => {
  try {
    new Intl.DateTimeFormat('en', { timeZone: zone })
    return true
  } catch {
    return false
  }
}, 'No such time zone: pick one from the list.')

export const saveNames = action(
  z.object({ name: label(80), teacher: label(80), timeZone: zoneField }),
  ({ scope }, names) => {
    saveStudio(scope, names)
    return done(true)
  },
)

const cm = z.number().min(-1000).max(ROOM_RANGE.maxCm)
const side = z.enum(SIDES)
const roomField = z.object({
  widthCm: z.number().min(ROOM_RANGE.minCm, 'A room is at least 2 m wide.').max(ROOM_RANGE.maxCm),
  depthCm: z.number().min(ROOM_RANGE.minCm, 'A room is at least 2 m deep.').max(ROOM_RANGE.maxCm),
  bays: z
    .array(
      z.object({
        id: z.string().max(60),
        side,
        fromCm: cm,
        widthCm: z.number().min(30).max(1000),
        obstacle: label(40),
        usable: z.boolean(),
      }),
    )
    .max(12, 'More than twelve bays are never in sight of one teacher.'),
  mats: z
    .array(z.object({ id: z.string().max(60), xCm: cm, yCm: cm, turned: z.boolean() }))
    .max(40, 'At most forty mats.'),
  doors: z
    .array(z.object({ id: z.string().max(60), side, fromCm: cm, widthCm: z.number().min(50).max(600) }))
    .max(8),
  things: z
    .array(
      z.object({
        id: z.string().max(60),
        name: label(30),
        xCm: cm,
        yCm: cm,
        widthCm: z.number().min(5).max(ROOM_RANGE.maxCm),
        depthCm: z.number().min(5).max(ROOM_RANGE.maxCm),
      }),
    )
    .max(30),
})

/** Keeps the drawn room; what cannot be is refused with the numbers, what only wants care is kept and told. */
export const saveRoom = action(roomField, ({ scope, studio }, room: Room) => {
  const wrong = roomProblems(room)
  const impossible = wrong.filter(isImpossible)
  if (impossible.length > 0) return problem(impossible.map((p) => describeRoom(p, room, studio)).join(' '))
  saveStudio(scope, { room })
  return done(wrong.map((p) => describeRoom(p, room, studio)))
})

export const saveCupboardLine = action(
  ({ practice }) =>
    z.object({
      id: idField,
      shape: z
        .string()
        .refine((id) => practice.props.some((p) => p.id === id && p.sizeCm.length > 0), 'Pick a shape.'),
      localName: label(40),
      sizeCm: z.array(z.number().positive('Sizes are above nothing.').max(400)).max(3).nullable(),
      count: z
        .number({ error: 'How many?' })
        .int('Whole numbers only.')
        .min(0, 'Not less than none.')
        .max(400),
      condition: z.enum(CONDITIONS),
      checkedDay: z.iso.date('That is no day of the calendar.').nullable(),
    }),
  ({ scope }, item) => {
    saveProp(scope, item)
    return done(true)
  },
)

export const removeCupboardLine = action(z.object({ id: z.string() }), ({ scope }, { id }) => {
  removeProp(scope, id)
  return done(true)
})

export const checkedToday = action(z.object({ id: z.string() }), ({ scope, clock: { today } }, { id }) => {
  markChecked(scope, id, today)
  return done(true)
})

export const saveHelper = action(
  ({ assistField }) =>
    z.object({
      id: idField,
      name: nameField,
      trained: z.array(assistField).max(40),
      willing: z.boolean(),
    }),
  ({ scope, clock: { today } }, { willing, ...helper }) => {
    saveAssistant(scope, { ...helper, restsUntil: willing ? null : today })
    return done(true)
  },
)

export const removeHelper = action(z.object({ id: z.string() }), ({ scope }, { id }) => {
  removeAssistant(scope, id)
  return done(true)
})

const line = label(160)
export const saveEmergencyCard = action(
  z.object(Object.fromEntries(Object.keys(EMPTY_CARD).map((key) => [key, line]))) as z.ZodObject<
    Record<keyof typeof EMPTY_CARD, typeof line>
  >,
  ({ scope }, emergency) => {
    saveStudio(scope, { emergency })
    return done(true)
  },
)

/** What nobody here may loosen. Options are set beside each question, loads and the cap here. */
export const saveFloor = action(
  z.object({
    closed: z.array(
      z.object({ tag: z.enum(LOAD_TAGS), level: z.union([z.literal(1), z.literal(2), z.literal(3)]) }),
    ),
    mostAttempts: z
      .number()
      .int('Whole numbers only.')
      .min(ATTEMPT_CAP.min)
      .max(ATTEMPT_CAP.usual, `The practice’s own cap is ${ATTEMPT_CAP.usual}; a studio can only go lower.`)
      .nullable(),
  }),
  ({ scope, studio }, floor) => {
    saveStudio(scope, { floor: { ...studio.floor, ...floor } })
    return done(true)
  },
  { trail: { what: 'house-rules-changed' } },
)
