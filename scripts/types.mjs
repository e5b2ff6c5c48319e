// `npm run types`: the routes' types, then all types and the rules that read them (.oxlintrc.json).
import { end, run } from './lib.mjs'
import { ensureInstalled } from './packages.mjs'

const wrong = await ensureInstalled()
if (wrong) end(wrong)
const holds =
  (await run('npx', ['next', 'typegen'])) &&
  (await run('npx', [
    'oxlint',
    '--type-aware',
    '--type-check',
    '--deny-warnings',
    '--quiet',
    '--format',
    'unix',
  ]))
process.exit(holds ? 0 : 1)
