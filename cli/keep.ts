import { readFileSync } from 'node:fs'
import { v7 } from 'uuid'
import { backUp, restore, type RestoreRefusal } from '@/db/backup'
import { examine } from '@/db/doctor'
import { codeHash, inFours, newCode } from '@/db/access-code'
import { dataFolder, sharedDb } from '@/db/open'
import { HOME } from '@/db/scope'
import { addCode } from '@/db/sign-ins'

/** `npm run backup`, `npm run restore -- FILE [ERASED-IDS]`, `npm run doctor` and `npm run owner`, on the folder in LEVITAR_DATA. */
const REFUSED: Readonly<Record<RestoreRefusal['code'], string>> = {
  'not-empty': 'There is a database in that folder already. Name an empty folder in LEVITAR_DATA.',
  'no-backup': 'There is no such file.',
  broken: 'That file is no whole database. Take an earlier backup.',
}

async function main([what, file, erased]: readonly string[]): Promise<number> {
  const data = dataFolder()
  if (what === 'backup') return say(`Kept as ${await backUp(data, Date.now())}`)
  if (what === 'restore' && file !== undefined) {
    const ids =
      erased === undefined
        ? []
        : readFileSync(erased, 'utf8')
            .split('\n')
            .filter((id) => id !== '')
    const done = restore(file, data, () => v7(), ids)
    if (!done.ok) return say(REFUSED[done.refusal.code], 1)
    return say(
      `Restored. ${done.value === 0 ? 'Nobody had to be erased again.' : `Erased again: ${done.value}.`} The key of the health notes is put back from its printed code.`,
    )
  }
  if (what === 'doctor') {
    const findings = examine(data, Date.now())
    for (const { what: of, well, says, todo } of findings)
      say(`${well ? 'well' : 'NOT '}  ${of}: ${says}${todo === '' ? '' : `. ${todo}`}`)
    return findings.every((f) => f.well) ? 0 : 1
  }
  if (what === 'owner') return say(ownerCode())
  return say('backup | restore FILE [ERASED-IDS] | doctor | owner', 2)
}

/** Long enough to be no guess, short enough to be typed. */
const CODE_LENGTH = 12
const CODE_MS = 10 * 60_000

/** A code by which whoever sits at this machine makes themselves an owner, or comes in again. */
function ownerCode(): string {
  const code = newCode(CODE_LENGTH)
  addCode(
    { db: sharedDb(), studioId: HOME },
    { codeHash: codeHash(code), role: 'owner', label: 'the machine', expiresMs: Date.now() + CODE_MS },
  )
  return `${inFours(code)}\nGood for ten minutes, and once: on the page “Sign in”, under “I have an owner’s code”.`
}

function say(line: string, code = 0): number {
  process.stdout.write(`${line}\n`)
  return code
}

main(process.argv.slice(2)).then(
  (code) => (process.exitCode = code),
  (error: unknown) =>
    (process.exitCode = say(error instanceof Error ? error.message : 'It did not work.', 1)),
)
