import { z } from 'zod'
import { JOINTS } from '@/core/fatigue/compartments'
import { classFatigue } from '@/core/fatigue/class-load'
import { capacityFrom, jointLoad, predictHold, sameDemand, secondsOf } from '@/core/fatigue/endurance'
import { BREATH_S } from '@/core/practice/dose'
import { BODY_EXAMPLE, bodySchema, InputError, parse, readBody, solveAsked, type Command } from './input'

const shape = { position: z.string(), params: z.record(z.string(), z.number()).optional() }
const joint = z.enum(JOINTS)
const breathS = z.number().min(2).max(15).optional()

const enduranceSchema = z.strictObject({
  body: bodySchema,
  joint: joint.optional(),
  breathS,
  observed: z.strictObject({
    ...shape,
    seconds: z.number().positive().max(3600).optional(),
    breaths: z.number().positive().max(300).optional(),
  }),
  predict: z.strictObject(shape),
})

const fatigueSchema = z.strictObject({
  joint,
  sequence: z
    .array(
      z.strictObject({
        label: z.string(),
        intensity: z.number().min(0).max(1),
        seconds: z.number().positive().max(7200),
      }),
    )
    .min(1),
})

export const FATIGUE_COMMANDS: readonly Command[] = [
  {
    name: 'endurance',
    about: 'From a hold that was seen, how long another shape may be held: advice, with its interval.',
    example: {
      body: BODY_EXAMPLE,
      joint: 'shoulder',
      observed: { position: 'dolphin', breaths: 8 },
      breathS: 5,
      predict: { position: 'dolphin', params: { toeDistanceCm: 85 } },
    },
    run: (input) => {
      const asked = parse(enduranceSchema, input)
      const body = readBody(asked.body, ['body'])
      const { joint: which = 'shoulder', observed, predict } = asked
      if (observed.seconds !== undefined && observed.breaths !== undefined)
        throw new InputError(['observed'], 'Give the hold in seconds or in breaths, not both.')
      const {
        seconds = observed.breaths === undefined ? undefined : secondsOf(observed.breaths, asked.breathS),
      } = observed
      if (seconds === undefined) throw new InputError(['observed'], 'Give the hold in seconds or in breaths.')
      const seen = solveAsked(observed.position, body, observed.params, ['observed'])
      if (!seen.ok) return seen.answer
      const next = solveAsked(predict.position, body, predict.params, ['predict'])
      if (!next.ok) return next.answer
      if (!sameDemand(observed.position, predict.position))
        return {
          reachable: true,
          joint: which,
          observedS: seconds,
          hold: null,
          message:
            'Not known: the floor’s grip decides how hard the shoulders work, and it differs between these shapes. Time the other shape itself.',
        }
      const capacity = capacityFrom(which, { loadNmPerKg: jointLoad(seen.value, which), seconds })
      const hold = predictHold(which, capacity, jointLoad(next.value, which))
      return {
        reachable: true,
        joint: which,
        breathS: asked.breathS ?? BREATH_S,
        observedS: seconds,
        capacityNmPerKg: capacity,
        hold: {
          seconds: hold.seconds,
          lowS: hold.lowS,
          highS: hold.highS,
          intensityShare: hold.intensity,
          endless: hold.endless,
        },
      }
    },
  },
  {
    name: 'fatigue',
    about: 'What is left of a joint after every stretch of a class, rests included.',
    example: {
      joint: 'shoulder',
      sequence: [
        { label: 'dolphin', intensity: 0.4, seconds: 30 },
        { label: 'rest', intensity: 0, seconds: 60 },
        { label: 'kicks', intensity: 0.5, seconds: 40 },
      ],
    },
    run: (input) => {
      const { joint: which, sequence } = parse(fatigueSchema, input)
      return { joint: which, moments: classFatigue(which, sequence) }
    },
  },
]
