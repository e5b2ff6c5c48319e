'use server'

import { revalidatePath } from 'next/cache'
import { z } from 'zod'
import { saveStudio } from '@/db/studio'
import { action } from '../action'
import { done, problem, type Answer } from '../answer'
import { hashPass, layerOpen, openOnThisScreen, passFits, setPrivateHere, shutOnThisScreen } from './layer'

const checkPass = action(
  z.string().max(80),
  (_, word) => (passFits(word) ? done(true) : problem('That is not the word.', 'word')),
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
  if (await layerOpen()) await openOnThisScreen()
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
  ({ db }, { word, again }) => {
    if (word !== again) return problem('The two words differ.', 'again')
    if (word !== '' && word.length < 4) return problem('At least four characters, or none at all.', 'word')
    saveStudio(db, { passHash: word === '' ? null : hashPass(word) })
    return done(word !== '')
  },
  { layer: true },
)
