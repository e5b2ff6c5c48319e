// `npm run bench`: medians of the core; `-- --planner`: plans beside their bound, in Node and in Chromium; `-- --studio`: pages
// on a studio of ten years.
import { run } from './lib.mjs'

const asked = (what) => process.argv.includes(`--${what}`)
const steps = asked('studio')
  ? [['node', ['scripts/studio-bench.mjs']]]
  : asked('planner')
    ? [
        ['npx', ['tsx', 'scripts/planner-bench.ts']],
        ['node', ['scripts/planner-chromium.mjs']],
      ]
    : [['npx', ['tsx', 'scripts/bench.ts']]]
for (const [command, args] of steps) if (!(await run(command, args))) process.exit(1)
