import 'server-only'
import { cueFor, type InForce } from '@/core/approaches/effects'
import type { Brief } from '@/core/classes/brief'
import { doseOf } from '@/core/classes/dose-of'
import type { Version } from '@/core/classes/plan'
import type { Picture } from '@/core/figure/picture'
import { pictureFor } from '@/core/figure/picture-of'
import { findById } from '@/core/practice/find'
import { barsStage } from '@/core/screening/stage-limits'
import { describeDose } from '@/core/words/dose'
import { describeTouch } from '@/core/words/floor'
import { describeChange, NOTHING_OPEN } from '@/core/words/plan'
import { anyBody, bodyOfStudent } from '../body'
import type { Context } from '../context'
import { CLASS_FAMILY } from '../desk/class-file'
import { handNumbers } from '../desk/hand-numbers'
import type { People } from '../desk/people'

export type VersionView = Omit<Version, 'change'> & {
  name: string
  stage: string
  cue: string
  /** Their own dose of it, by breath and limits. */
  dose: string
  /** How a limit changes it; empty where none does, or on a private screen. */
  changed: string
  /** What places hands and props for this body; empty without a height. */
  numbers: string
  /** On their own body. */
  picture: Picture | null
  choices: { id: string; label: string; allowed: boolean }[]
}
/** What the words of a version are made from. */
export type View = {
  readonly ctx: Context
  readonly brief: Brief | null
  readonly people: People
  /** The ways in force for somebody in this class. */
  readonly waysOf: (studentId: string) => InForce
}

/** The lengths that place hands and props in somebody's version, short enough for a strip card. */
function ownNumbers({ studentId, setupId }: Version, { ctx, people, waysOf }: View): string {
  const body = bodyOfStudent(people.students.get(studentId))
  if (!body || setupId === null) return ''
  return handNumbers(ctx, body, setupId, waysOf(studentId))
    .map(({ label, value }) => `${label} ${value}`)
    .join(' · ')
}

/** A version in words, with its figure on this body. */
export function versionView(version: Version, view: View): VersionView {
  const { practice, privacy } = view.ctx
  const stage = version.stageId === null ? null : findById(practice.stages, version.stageId)
  const person = view.brief?.people.find((p) => p.studentId === version.studentId)
  const open = new Set(person?.families[CLASS_FAMILY]?.open)
  const limits = { caps: person?.limits ?? [] }
  const { change, ...rest } = version
  return {
    ...rest,
    name: view.people.nameOf(version.studentId),
    stage: stage?.name ?? NOTHING_OPEN,
    cue: stage ? cueFor(practice, view.waysOf(version.studentId), stage) : '',
    dose: stage && person ? describeDose(doseOf(person, stage, change)) : '',
    changed: [describeTouch(person?.touch ?? 'ask'), privacy.hidden ? '' : describeChange(change)]
      .filter((t) => t !== '')
      .join(' '),
    numbers: ownNumbers(version, view),
    picture: stage
      ? pictureFor(
          practice,
          stage.id,
          bodyOfStudent(view.people.students.get(version.studentId)) ?? anyBody(),
        )
      : null,
    // What a Stop bars is no choice at all.
    choices: practice.stages
      .filter((s) => s.family === CLASS_FAMILY && !barsStage(practice, limits, s))
      .map((s) => ({
        id: s.id,
        label: `${s.name}${open.has(s.id) ? '' : ' · above what is recorded'}`,
        allowed: open.has(s.id),
      })),
  }
}
