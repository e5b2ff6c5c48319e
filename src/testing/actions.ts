import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { seeded, uuidAt } from '@/core/random'
import { demoWorld, type DemoWorld } from '@/core/simulate/demo'
import type { Answer } from '@/features/answer'
import type { Actor, Context, Privacy } from '@/features/context'
import type { Who } from '@/features/who'

/** A data folder of its own for a test file, at five in the afternoon of a day; gone when the file is done. */
export function ownData(name: string, day: string): string {
  const folder = mkdtempSync(path.join(tmpdir(), `levitar-${name}-`))
  process.env.LEVITAR_DATA = folder
  process.env.LEVITAR_NOW = `${day}T17:00:00Z`
  afterAll(() => rmSync(folder, { recursive: true, force: true }))
  return folder
}

/** Ids and stamps of one device, the same on every run. */
export function ownDevice(seed: number, day: string) {
  const random = seeded(seed)
  const v7 = (): string => uuidAt(random, Date.parse(`${day}T17:00:00Z`))
  const deviceId = v7()
  let deviceSeq = 0
  const stamp = () => {
    deviceSeq += 1
    const hlc = `${(1000 + deviceSeq).toString(36).padStart(9, '0')}-0000-${deviceId}`
    return { id: v7(), deviceId, deviceSeq, hlc, day }
  }
  return { v7, stamp }
}

const OWNER: Actor = { role: 'owner', accountId: null, name: 'this machine', signIn: null, locked: false }

/** The owner at this machine, on a screen where nothing is hidden and the notes are shut; or somebody else. */
export function asked(privacy: Partial<Privacy> = {}, actor: Partial<Actor> = {}): Who {
  return { actor: { ...OWNER, ...actor }, privacy: { hidden: false, notesOpen: false, ...privacy } }
}

/** The owner's screen, on which the notes are open and nothing is hidden, or another one. */
export async function screen(privacy: Partial<Privacy> = {}): Promise<Context> {
  const { contextFor } = await import('@/features/context')
  return contextFor({ hidden: false, notesOpen: true, ...privacy }, undefined, OWNER)
}

/** The demo world in this file's data folder. */
export async function seedWorld(day: string): Promise<DemoWorld> {
  const { seedDemo } = await import('@/db/seed')
  const { scope, health } = await screen()
  const world = demoWorld(day)
  seedDemo(scope, world, day, health.key)
  return world
}

/** What an action answered; a refusal fails the test with its sentences. */
export function value<T>(answer: Answer<T>): T {
  if (!answer.ok) throw new Error(answer.problems.map((p) => p.message).join(' '))
  return answer.value
}

/** Beside which fields an action refused; none where it did not. */
export function refusedAt(answer: Answer<unknown>): string[] {
  return answer.ok ? [] : answer.problems.map((p) => p.path)
}
