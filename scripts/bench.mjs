// `npm run bench`: medians of the core; `-- --planner`: plans beside their bound, in Node and in Chromium; `-- --studio`: pages
// on a studio of ten years; `-- --floor`: from a tap to kept, four times slower, and what ten tablets cost.
import { run } from './lib.mjs'

const asked = (what) => process.argv.includes(`--${what}`)
const steps = asked('studio')
  ? [['node', ['scripts/studio-bench.mjs']]]
  : asked('planner')
    ? [
        ['npx', ['tsx', 'scripts/planner-bench.ts']],
        ['node', ['scripts/planner-chromium.mjs']],
      ]
    : asked('floor')
      ? [
          ['node', ['scripts/floor-bench.mjs']],
          ['node', ['scripts/floor-tablets.mjs']],
        ]
      : [['npx', ['tsx', 'scripts/bench.ts']]]
for (const [command, args] of steps) if (!(await run(command, args))) process.exit(1)
