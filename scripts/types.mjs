// `npm run types`: the routes' types, and all types looked over.
import { end, run } from './lib.mjs'
import { ensureInstalled } from './packages.mjs'

const wrong = await ensureInstalled()
if (wrong) end(wrong)
process.exit((await run('npx', ['next', 'typegen'])) && (await run('npx', ['tsc', '--noEmit'])) ? 0 : 1)
