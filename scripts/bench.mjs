// `npm run bench`: medians of the core; `npm run bench -- --studio`: pages on a studio of ten years.
import { run } from './lib.mjs'

const pages = process.argv.includes('--studio')
const ok = await (pages ? run('node', ['scripts/studio-bench.mjs']) : run('npx', ['tsx', 'scripts/bench.ts']))
process.exit(ok ? 0 : 1)
