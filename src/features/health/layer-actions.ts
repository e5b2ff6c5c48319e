'use server'

import { revalidatePath } from 'next/cache'
import { z } from 'zod'
import { keyFromCode } from '@/db/health-codec'
import { restoreKey } from '@/db/health-key'
import { dataFolder } from '@/db/open'
import { saveStudio } from '@/db/studio'
import { findClass } from '@/db/classes'
import { sharedDb } from '@/db/open'
import { HOME } from '@/db/scope'
import { passedTo } from '../../edge/passed-round'
import { action } from '../action'
import { idField } from '../fields'
import { mayKnow } from '@/core/access/roles'
import { refusalFor, whoHere } from '../who'
import { done, problem, type Answer } from '../answer'
import { count } from '@/core/words/number'
import { guessed, waitBeforeGuess } from '../guesses'
import { endOtherSessions } from '../layer-sessions'
import {
  hashPass,
  heldAt,
  holdTablet,
  openOnThisScreen,
  passFits,
  setPrivateHere,
  shutOnThisScreen,
  takeTabletBack,
  tokenHere,
} from '../layer'

const checkPass = action(
  z.string().max(80),
  ({ studio }, word) => {
    const waitS = Math.ceil(waitBeforeGuess('layer') / 1000)
    if (waitS > 0)
      return problem(`Too many wrong words. Wait ${count(waitS, 'second')}, then try again.`, 'word')
    const right = passFits(word, studio.passHash)
    guessed('layer', right)
    return right ? done(true) : problem('That is not the word.', 'word')
  },
  { by: 'device', refresh: false, passed: true },
)

const findPassed = action(
  z.object({ classId: idField, ask: z.enum(['check-in', 'health']) }),
  ({ scope }, { classId }) =>
    findClass(scope, classId) ? done(true) : problem('That class is not here any more.'),
  { by: 'device', refresh: false },
)

/** From here on this tablet shows one page, and the health notes are shut on it. Answers where that is. */
export async function beginPass(raw: {
  classId: string
  ask: 'check-in' | 'health'
}): Promise<Answer<string>> {
  const found = await findPassed(raw)
  if (!found.ok) return found
  const where = passedTo(`/pass/${raw.classId}`, raw.ask)
  await shutOnThisScreen()
  await holdTablet(where)
  return done(where)
}

/** Lets go of a tablet that is held at a class which is not there (any more): there is nobody to give it back to. */
export async function endEmptyPass(): Promise<Answer<boolean>> {
  const { privacy } = await whoHere()
  const at = await heldAt()
  const gone = at !== null && findClass({ db: sharedDb(), studioId: HOME }, at) === null
  if (privacy.passed && gone) await takeTabletBack()
  return done(gone)
}

/** The tablet that went round is the teacher's again: with the word, where one is set. */
export async function endPass(word: string): Promise<Answer<boolean>> {
  const fits = await checkPass(word)
  if (!fits.ok) return fits
  await takeTabletBack()
  return done(true)
}

/** Opens the health notes on this screen. */
export async function openLayer(word: string): Promise<Answer<boolean>> {
  const { actor } = await whoHere()
  if (!mayKnow(actor.role)) return problem(refusalFor(actor, false))
  const fits = await checkPass(word)
  if (!fits.ok) return fits
  await setPrivateHere(false)
  if (!(await openOnThisScreen())) return problem('The key of the health notes is missing or broken.')
  await noted(null)
  revalidatePath('/', 'layout')
  return done(true)
}

const noted = action(z.null(), () => done(true), { refresh: false, trail: { what: 'notes-opened' } })

/** Somebody is still reading: five more minutes. */
export async function keepLayerOpen(): Promise<void> {
  if ((await whoHere()).privacy.notesOpen) await openOnThisScreen()
}

/** Shuts the notes on this screen. */
export async function shutLayer(): Promise<Answer<boolean>> {
  await shutOnThisScreen()
  revalidatePath('/', 'layout')
  return done(true)
}

/** Private: shuts the notes and hides the words of limits everywhere on this screen, or shows those words again. */
export async function hideLimits(hide: boolean): Promise<Answer<boolean>> {
  await shutOnThisScreen()
  await setPrivateHere(hide)
  revalidatePath('/', 'layout')
  return done(hide)
}

/** Shorter words are guessed in an afternoon. */
const LEAST_WORD = 8

/** Sets the word, or none; what was open on other screens is shut. */
export async function setPass(words: { word: string; again: string }): Promise<Answer<boolean>> {
  const set = await keepPass(words)
  if (set.ok) endOtherSessions(await tokenHere())
  return set
}

const keepPass = action(
  z.object({ word: z.string().max(80), again: z.string() }),
  ({ scope }, { word, again }) => {
    if (word !== again) return problem('The two words differ.', 'again')
    if (word !== '' && word.length < LEAST_WORD)
      return problem(`At least ${LEAST_WORD} characters, or none at all.`, 'word')
    saveStudio(scope, { passHash: word === '' ? null : hashPass(word) })
    return done(word !== '')
  },
  { by: 'owner', trail: { what: 'word-set' }, layer: true },
)

/** Puts a lost key back from its printed code; only the one that sealed what lies here is taken. */
export const putKeyBack = action(
  z.object({ code: z.string().max(120) }),
  ({ scope, studio }, { code }) => {
    const key = keyFromCode(code)
    if (!key) return problem('A letter is missing or wrong: compare it with the print once more.', 'code')
    return restoreKey(scope, dataFolder(), studio.keyCheck, key)
      ? done(true)
      : problem('That is a key, but not the one that sealed the notes here.', 'code')
  },
  { by: 'owner' },
)
