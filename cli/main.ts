import { readFileSync } from 'node:fs'
import { COMMANDS, LISTS } from './commands'
import { InputError } from './input'
import { TABLES } from './tables'

/** `npm run -s core -- <command>`: one JSON object in, one JSON object out. */
function main([name, what]: readonly string[]): number {
  if (name === undefined || name === '--help' || name === 'help') {
    print(help())
    return 0
  }
  try {
    if (name === 'list') {
      const list = Object.hasOwn(LISTS, what ?? '') ? LISTS[what ?? ''] : undefined
      if (!list) throw new InputError(['list'], `Unknown list. Known: ${Object.keys(LISTS).join(', ')}.`)
      print(JSON.stringify(list(), null, 2))
      return 0
    }
    if (name === 'table') {
      const made = Object.hasOwn(TABLES, what ?? '') ? TABLES[what ?? ''] : undefined
      if (!made) throw new InputError(['table'], `Unknown table. Known: ${Object.keys(TABLES).join(', ')}.`)
      process.stdout.write(made())
      return 0
    }
    const command = COMMANDS.find((c) => c.name === name)
    if (!command)
      throw new InputError(
        ['command'],
        `Unknown command. Known: ${COMMANDS.map((c) => c.name).join(', ')}, list.`,
      )
    print(JSON.stringify(command.run(readInput()), null, 2))
    return 0
  } catch (error) {
    if (!(error instanceof InputError)) throw error
    print(JSON.stringify({ error: { path: error.path, message: error.message } }))
    return 2
  }
}

function readInput(): unknown {
  try {
    return JSON.parse(readFileSync(0, 'utf8'))
  } catch {
    throw new InputError([], 'The input is not JSON.')
  }
}

function help(): string {
  const lines = COMMANDS.map(
    ({ name, about, example }) =>
      `${name}\n  ${about}\n  echo '${JSON.stringify(example)}' | npm run -s core -- ${name}`,
  )
  return [
    ...lines,
    `list ${Object.keys(LISTS).join('|')}\n  npm run -s core -- list positions`,
    `table ${Object.keys(TABLES).join('|')}\n  npm run -s core -- table drills > docs/method/drill-tags.md`,
  ].join('\n\n')
}

function print(text: string): void {
  process.stdout.write(`${text}\n`)
}

// A reader such as `head` may have had enough: that is no fault of anybody's.
process.stdout.on('error', (error: NodeJS.ErrnoException) => {
  if (error.code !== 'EPIPE') throw error
  process.exit(0)
})
process.exitCode = main(process.argv.slice(2))
