import { demoWorld } from '@/core/simulate/demo'
import { keyOf } from '@/db/health-key'
import { dataFolder, databaseFile, openDb } from '@/db/open'
import { HOME } from '@/db/scope'
import { seedDemo } from '@/db/seed'
import { listStudents } from '@/db/students'

/** Puts the demo world into an empty data folder: `tsx cli/seed.ts YYYY-MM-DD`. Does nothing where people are already. */
const [asOf = ''] = process.argv.slice(2)
if (!/^\d{4}-\d\d-\d\d$/.test(asOf)) {
  process.stderr.write('seed wants a day such as 2026-03-05\n')
  process.exitCode = 2
} else {
  const scope = { db: openDb(databaseFile(dataFolder())), studioId: HOME }
  if (listStudents(scope, { archived: true }).length === 0)
    seedDemo(scope, demoWorld(asOf), asOf, keyOf(scope, dataFolder(), null).key)
}
