import 'server-only'
import { hash, verify } from '@node-rs/argon2'

/** Memory and rounds of one guess: 19 MiB, two passes, as is usual for argon2id on a server. */
const COST = { memoryCost: 19_456, timeCost: 2, parallelism: 1 }
/** Shorter ones are guessed. */
export const LEAST_PASSWORD = 10

/** A password as it is kept. Off the thread that answers. */
export function hashPassword(password: string): Promise<string> {
  return hash(password, COST)
}

/** A hash that no password has: an unknown name takes as long to refuse as a wrong password. */
const nobodys = hash('nobody has this', COST)

/** Whether a password is the one that was kept; false where none was. */
export async function passwordFits(password: string, kept: string | null): Promise<boolean> {
  const fits = await verify(kept ?? (await nobodys), password).catch(() => false)
  return fits && kept !== null
}
