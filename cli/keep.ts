import { readFileSync } from 'node:fs'
import { v7 } from 'uuid'
import { backUp, restore, type RestoreRefusal } from '@/db/backup'
import { examine } from '@/db/doctor'
import { dataFolder } from '@/db/open'

/** `npm run backup`, `npm run restore -- FILE [ERASED-IDS]` and `npm run doctor`, on the folder in LEVITAR_DATA. */
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
  return say('backup | restore FILE [ERASED-IDS] | doctor', 2)
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
