// `npm run build`: the packages, and the build whether or not the sources changed.
import { end } from './lib.mjs'
import { build, ensureInstalled } from './packages.mjs'

const wrong = await ensureInstalled()
if (wrong) end(wrong)
process.exit((await build()) ? 0 : 1)
