'use server'

import { revalidatePath } from 'next/cache'
import { z } from 'zod'
import { keyFromCode } from '@/db/health-codec'
import { restoreKey } from '@/db/health-key'
import { dataFolder } from '@/db/open'
import { saveStudio } from '@/db/studio'
import { action } from '../action'
import { done, problem, type Answer } from '../answer'
import { hashPass, openOnThisScreen, passFits, privacyHere, setPrivateHere, shutOnThisScreen } from '../layer'

const checkPass = action(
  z.string().max(80),
  ({ studio }, word) =>
    passFits(word, studio.passHash) ? done(true) : problem('That is not the word.', 'word'),
  { refresh: false },
)

/** Opens the health notes on this screen. */
export async function openLayer(word: string): Promise<Answer<boolean>> {
  const fits = await checkPass(word)
  if (!fits.ok) return fits
  await setPrivateHere(false)
  if (!(await openOnThisScreen())) return problem('The key of the health notes is missing or broken.')
  revalidatePath('/', 'layout')
  return done(true)
}

/** Somebody is still reading: five more minutes. */
export async function keepLayerOpen(): Promise<void> {
  if ((await privacyHere()).notesOpen) await openOnThisScreen()
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

export const setPass = action(
  z.object({ word: z.string().max(80), again: z.string() }),
  ({ scope }, { word, again }) => {
    if (word !== again) return problem('The two words differ.', 'again')
    if (word !== '' && word.length < 4) return problem('At least four characters, or none at all.', 'word')
    saveStudio(scope, { passHash: word === '' ? null : hashPass(word) })
    return done(word !== '')
  },
  { layer: true },
)

/** Puts a lost key back from its printed code; only the one that sealed what lies here is taken. */
export const putKeyBack = action(z.object({ code: z.string().max(120) }), ({ scope, studio }, { code }) => {
  const key = keyFromCode(code)
  if (!key) return problem('A letter is missing or wrong: compare it with the print once more.', 'code')
  return restoreKey(scope, dataFolder(), studio.keyCheck, key)
    ? done(true)
    : problem('That is a key, but not the one that sealed the notes here.', 'code')
})
