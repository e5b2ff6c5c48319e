import { spawnSync } from 'node:child_process'

/** The project's own lint, but for what needs types: those take half a minute to be made, and say nothing of imports. */
const LINT = `
import { text } from 'node:stream/consumers'
import { ESLint } from 'eslint'
const eslint = new ESLint({
  ruleFilter: ({ ruleId }) => ruleId.startsWith('no-restricted'),
  overrideConfig: { languageOptions: { parserOptions: { projectService: false } } },
})
const said = JSON.parse(await text(process.stdin)).map(async ([filePath, text]) =>
  (await eslint.lintText(text, { filePath })).flatMap(({ messages }) => messages.map((m) => m.message)))
console.log(JSON.stringify(await Promise.all(said)))
`

/** What is said of texts as if they stood in those files. */
function lint(planted: readonly (readonly [file: string, text: string])[]): string[][] {
  const args = ['--input-type=module', '--eval', LINT]
  const run = spawnSync(process.execPath, args, { input: JSON.stringify(planted), encoding: 'utf8' })
  expect(run.stderr).toBe('')
  return JSON.parse(run.stdout) as string[][]
}

it('lint fails on planted imports and on a look at the clock, and says what to do instead', () => {
  const practice = "import { shippedPractice } from '@/core/practice/library'"
  const PLANTED = [
    ['src/core/day.ts', "import { board } from '@/features/readiness/queries'", /imports nothing above it/],
    ['src/core/day.ts', "import Database from 'better-sqlite3'", /no interface, storage or I\/O/],
    ['src/core/day.ts', 'export const a = Date.now()', /gets the time as an argument/],
    ['src/core/day.ts', 'export const a = Math.random()', /gets randomness as a seed/],
    ['src/core/planning/check/rest.ts', "import { improve } from '../improve'", /nothing of the planners/],
    ['src/features/today/queries.ts', practice, /take the practice from the context/],
    ['src/features/today/view.tsx', "import Link from 'next/link'", /take Link from ui\/link/],
  ] as const
  const sound = ['src/features/today/view.tsx', "import { Link } from '@/ui/link'"] as const
  const said = lint([...PLANTED.map(([file, text]) => [file, text] as const), sound])
  for (const [i, [file, text, why]] of PLANTED.entries())
    expect([file, text, said[i]?.join(' ')]).toEqual([file, text, expect.stringMatching(why)])
  expect(said.at(-1)).toEqual([])
})
