'use server'

import { v7 } from 'uuid'
import { z } from 'zod'
import { estimateBody } from '@/core/body/estimate'
import { AGE_BANDS, type AgeBand } from '@/core/screening/minor'
import { SEGMENT_NAMES, type SegmentName } from '@/core/body/anthropometry'
import { parseQuantity } from '@/core/entry'
import { readNames } from '@/core/formats/names'
import { parseLength } from '@/core/units'
import { describeAside, describeName, describeQuantity, describeTakenIn } from '@/core/words/entry'
import { describeBody, describeLength } from '@/core/words/length'
import { rememberErased } from '@/db/backup'
import { eraseStudent } from '@/db/erase'
import { dataFolder } from '@/db/open'
import { addStudents, findStudent, listStudents, saveProfile, setArchived } from '@/db/students'
import { action } from '../action'
import type { Context } from '../context'
import { done, problem } from '../answer'
import { idField, nameField, statureField } from '../fields'
import { takeInBeside } from './taken-in'
import { typedLength, typedStature } from './typed'

/** Most names in one paste: a class list, not a mailing list. */
const MOST_NAMES = 60

export const addPastedNames = action(
  z.object({
    text: z.string().max(8000, 'That is too long for a list of names.'),
    ids: z.array(z.uuid()).length(MOST_NAMES),
  }),
  (ctx, { text, ids }) => {
    const { scope, clock } = ctx
    const { lines, doubles, emails, others } = readNames(text)
    if (lines.length === 0) return problem('Paste at least one name, one on each line.', 'text')
    if (lines.length > MOST_NAMES)
      return problem(`At most ${MOST_NAMES} names at once; this list has ${lines.length}.`, 'text')
    const bad = lines.filter((line) => !line.ok)
    if (bad.length > 0)
      return problem(
        bad
          .slice(0, 3)
          .map((line) => `Line ${line.line}: ${describeName(line.refusal)}`)
          .join(' '),
        'text',
      )
    const known = new Set(listStudents(scope).map((s) => s.name.toLowerCase()))
    // Ids come with the form, so the same press sent twice adds the same people once; known names are left alone.
    const people = lines.flatMap((line, i) =>
      line.ok && !known.has(line.name.toLowerCase())
        ? [{ id: ids[i] ?? '', name: line.name, beside: line.beside }]
        : [],
    )
    const added = addStudents(scope, people, clock.today)
    const aside = describeAside({ doubles, emails, others })
    // The same press sent twice finds everybody known: nothing is taken in twice.
    const { placed, remarks } = takeInBeside(ctx, people)
    const left = lines.filter((l) => l.ok && l.beside.length > 0 && known.has(l.name.toLowerCase())).length
    const takenIn = describeTakenIn(placed, remarks, left)
    return done({
      ...{ added, known: lines.length - people.length },
      aside: [takenIn, aside].filter((part) => part !== '').join(' '),
    })
  },
)

export const addOne = action(
  z.object({ id: idField, name: nameField, stature: z.string() }),
  ({ scope, studio, clock: { today } }, { id, name, stature }) => {
    const height = statureField(studio.units).safeParse(stature)
    if (!height.success) return problem(height.error.issues[0]?.message ?? '', 'stature')
    addStudents(scope, [{ id, name, statureCm: height.data }], today)
    return done({ id })
  },
)

/** Age and guardian as they are kept: whoever is of age needs nobody to agree. */
function agreed({
  ageBand,
  guardian,
  guardianDay,
}: {
  ageBand?: AgeBand | null | undefined
  guardian?: string | undefined
  guardianDay?: string | undefined
}): { ageBand?: AgeBand | null; guardian?: string; guardianDay?: string | null } {
  if (ageBand === undefined) return {}
  if (ageBand !== 'under-18') return { ageBand, guardian: '', guardianDay: null }
  return { ageBand, guardian: guardian ?? '', guardianDay: guardianDay === '' ? null : (guardianDay ?? null) }
}

/** Lengths as they were typed: an untouched one keeps its exact number, an empty one goes back to its estimate. */
function readLengths(
  measured: Partial<Record<SegmentName, string>>,
  stored: Partial<Record<SegmentName, number>>,
  studio: Context['studio'],
):
  | { readonly ok: true; readonly lengths: Partial<Record<SegmentName, number>> }
  | { readonly ok: false; readonly problem: ReturnType<typeof problem> } {
  const lengths: Partial<Record<SegmentName, number>> = {}
  for (const segment of SEGMENT_NAMES) {
    const typed = measured[segment]
    if (!typed?.trim()) continue
    const kept = stored[segment]
    if (kept !== undefined && typedLength(kept, studio.units) === typed) {
      lengths[segment] = kept
      continue
    }
    const parsed = parseLength(typed, { minCm: 1, maxCm: 150 }, studio.units)
    if (!parsed.ok)
      return { ok: false, problem: problem(describeLength(parsed.refusal, studio), `measured.${segment}`) }
    lengths[segment] = parsed.value
  }
  return { ok: true, lengths }
}

const BREATH_RANGE = { min: 2, max: 12 }

export const saveStudent = action(
  z.object({
    id: idField,
    name: nameField,
    stature: z.string(),
    breath: z.string(),
    contact: z.string().trim().max(120, 'At most 120 characters.').optional(),
    ageBand: z.enum(AGE_BANDS).nullable().optional(),
    guardian: z.string().trim().max(120, 'At most 120 characters.').optional(),
    guardianDay: z.union([z.literal(''), z.iso.date('Pick the day.')]).optional(),
    measured: z.partialRecord(z.enum(SEGMENT_NAMES as [SegmentName, ...SegmentName[]]), z.string()),
  }),
  ({ scope, studio, clock: { today } }, { id, name, stature, breath, measured, ...said }) => {
    const stored = findStudent(scope, id)
    if (!stored) return problem('This person is not in the studio any more.')
    if ((said.guardianDay ?? '') > today) return problem('That day is still to come.', 'guardianDay')
    // A value that was only shown and not touched keeps its exact number: rounding for the screen must not creep in.
    const untouched = typedStature(stored.statureCm, studio.units) === stature
    const height = untouched
      ? { success: true as const, data: stored.statureCm }
      : statureField(studio.units).safeParse(stature)
    if (!height.success) return problem(height.error.issues[0]?.message ?? '', 'stature')
    const breathS = parseQuantity(breath, BREATH_RANGE)
    if (!breathS.ok)
      return problem(describeQuantity(breathS.refusal, 'seconds for one breath', 's'), 'breath')

    const read = readLengths(measured, stored.measured, studio)
    if (!read.ok) return read.problem
    const { lengths } = read
    if (height.data === null && Object.keys(lengths).length > 0)
      return problem(
        'Measured lengths need a height beside them, so that the rest can be estimated.',
        'stature',
      )
    if (height.data !== null) {
      const body = estimateBody({ statureCm: height.data, measured: lengths })
      if (!body.ok)
        return problem(
          describeBody(body.refusal, studio),
          body.refusal.code === 'length-implausible' ? `measured.${body.refusal.segment}` : 'stature',
        )
    }
    saveProfile(
      scope,
      id,
      {
        name,
        statureCm: height.data,
        breathS: breathS.value,
        contact: said.contact ?? stored.contact,
        ...agreed(said),
        measured: lengths,
      },
      today,
    )
    return done(true)
  },
)

/** A height by itself, for a list that is typed down a column. */
export const saveHeight = action(
  z.object({ id: idField, stature: z.string() }),
  ({ scope, studio, clock: { today } }, { id, stature }) => {
    const stored = findStudent(scope, id)
    if (!stored) return problem('This person is not in the studio any more.')
    const height = statureField(studio.units).safeParse(stature)
    if (!height.success) return problem(height.error.issues[0]?.message ?? '', 'stature')
    const { name, breathS, contact, measured } = stored
    if (height.data === null && Object.keys(measured).length > 0)
      return problem('Lengths were measured of this person: they need a height beside them.', 'stature')
    const body = height.data === null ? null : estimateBody({ statureCm: height.data, measured })
    if (body && !body.ok) return problem(describeBody(body.refusal, studio), 'stature')
    saveProfile(scope, id, { name, statureCm: height.data, breathS, contact, measured }, today)
    return done(true)
  },
)

export const archive = action(
  z.object({ id: idField, back: z.boolean() }),
  ({ scope, clock: { today } }, { id, back }) => {
    if (!findStudent(scope, id)) return problem('This person is not in the studio any more.')
    setArchived(scope, id, back ? null : today)
    return done(true)
  },
)

/** Removes every fact about somebody; the typed name is the second thought. */
export const erase = action(
  z.object({ id: idField, typed: z.string().max(200) }),
  ({ scope, health }, { id, typed }) => {
    const student = findStudent(scope, id)
    if (!student) return problem('This person is not in the studio any more.')
    if (typed.trim() !== student.name) return problem(`That is not ${student.name}.`, 'typed')
    // A backup that left this folder may hold them: whoever puts it back erases them again.
    rememberErased(dataFolder(), id)
    return done(eraseStudent(scope, health.key, id, v7()))
  },
  { trail: { what: 'erased' }, erases: true },
)
