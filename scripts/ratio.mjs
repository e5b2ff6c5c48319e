// Share of test lines among all TypeScript lines, practice data left out.
import { existsSync, readFileSync } from 'node:fs'
import path from 'node:path'
import { filesBelow, ROOT } from './lib.mjs'

const lines = (files) =>
  files.reduce(
    (sum, file) =>
      sum +
      readFileSync(file, 'utf8')
        .split('\n')
        .filter((line) => line.trim() !== '').length,
    0,
  )
const files = ['src', 'cli', 'e2e', 'scripts']
  .map((folder) => path.join(ROOT, folder))
  .filter(existsSync)
  .flatMap(filesBelow)
  .filter(
    (file) => /\.tsx?$/.test(file) && !/\.d\.ts$/.test(file) && !file.includes(path.join('practice', 'data')),
  )
const tests = files.filter(
  (file) =>
    /\.test\.tsx?$/.test(file) ||
    file.includes(`${path.sep}e2e${path.sep}`) ||
    file.includes(`${path.sep}testing${path.sep}`),
)
const [all, test] = [lines(files), lines(tests)]
console.log(`tests ${test} of ${all} lines: ${Math.round((100 * test) / all)} % (aim 25 to 33 %)`)
