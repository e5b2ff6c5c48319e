'use server'

import { v7 } from 'uuid'
import { z } from 'zod'
import { findEntry } from '@/core/library/entries'
import {
  laidOver,
  MOST_PRACTICE_CHARS,
  readPracticeFile,
  writePracticeFile,
} from '@/core/formats/practice-file'
import { withOverrides } from '@/core/practice/override'
import { describeOverrideRefusal, describePracticeFile } from '@/core/words/own-practice'
import { activeOverrides, addOverride } from '@/db/overrides'
import { action } from '../action'
import { done, problem, type Answer } from '../answer'
import type { Context } from '../context'
import { practiceWith } from '../practice'
import { previewWith, type OwnPreview } from './queries'
import { saidOf } from './said'

/** Nobody mends more than this at once. */
const MOST_TOLD = 12

/** What this studio says in its own way, as a file for another studio or another year. */
export const practiceOut = action(
  z.object({}),
  ({ scope, clock }) =>
    done({
      name: `${clock.today} practice.json`,
      text: writePracticeFile(activeOverrides(scope), clock.today),
    }),
  { refresh: false },
)

export type FileRead = OwnPreview & { entries: string[]; known: number }

const file = { text: z.string().max(MOST_PRACTICE_CHARS) }

/** What a file would bring and do, for whom; nothing is stored. */
export const tryPracticeFile = action(
  z.object(file),
  (ctx, { text }) => {
    const read = fitting(ctx, text)
    if (!read.ok) return read
    const { fresh, known, all } = read.value
    const then = { ...ctx, practice: practiceWith(all) }
    return done<FileRead>({
      ...previewWith(ctx, all),
      entries: fresh.map(({ kind, id, fields }) => {
        const name = findEntry(then.practice, id)?.name ?? id
        return `${name}. ${saidOf(then, { kind, target: id, fields })}`
      }),
      known,
    })
  },
  { refresh: false },
)

/** Takes a file in: all of it or nothing; what it does not speak of stays as it is here. */
export const keepPracticeFile = action(
  z.object(file),
  (ctx, { text }) => {
    const read = fitting(ctx, text)
    if (!read.ok) return read
    const { scope, studio, clock } = ctx
    for (const { kind, id: target, fields } of read.value.fresh)
      addOverride(scope, { id: v7(), kind, target, fields, by: studio.teacher, atMs: clock.nowMs })
    return done({ kept: read.value.fresh.length })
  },
  { trail: { what: 'practice-changed' } },
)

/** A file held against the whole practice and against what this studio has already. */
function fitting(ctx: Context, text: string): Answer<ReturnType<typeof laidOver>> {
  const read = readPracticeFile(text)
  if (!read.ok) return problem(describePracticeFile(read.refusal))
  const over = laidOver(activeOverrides(ctx.scope), read.value)
  const laid = withOverrides(over.all)
  if (laid.ok) return done(over)
  return {
    ok: false,
    problems: laid.refusal
      .slice(0, MOST_TOLD)
      .map((why) => ({ path: '', message: describeOverrideRefusal(ctx.practice, why) })),
  }
}
