import 'server-only'
import { backUp, backupsOf } from '@/db/backup'
import { dataFolder } from '@/db/open'
import { logFailure } from './action'
import { now } from './clock'

/** A backup is no older than this while the server runs, ms. */
const HOUR_MS = 3_600_000

/** Makes a backup where the newest is an hour old; a failure is logged and tried again the next hour. */
export async function backUpHourly(): Promise<void> {
  const nowMs = now().getTime()
  const [newest] = backupsOf(dataFolder())
  if (newest && nowMs - newest.atMs < HOUR_MS) return
  try {
    await backUp(dataFolder(), nowMs)
  } catch (error) {
    logFailure('backup', error)
  }
}
