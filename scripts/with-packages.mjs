// `node scripts/with-packages.mjs COMMAND …`: runs a command of the packages, which are installed first when they are missing.
// Every script of package.json begins here or in a script that needs Node alone (held by scripts/bare.test.ts).
import { spawn } from 'node:child_process'
import path from 'node:path'
import { end, ROOT } from './lib.mjs'
import { ensureInstalled, isInstalled } from './packages.mjs'

const [command, ...args] = process.argv.slice(2)
if (!isInstalled()) {
  process.stderr.write('The packages come first, about two minutes …\n')
  // What a command prints is for whoever reads it; what the install says is not.
  const wrong = await ensureInstalled({ stdio: ['inherit', 2, 2] })
  if (wrong) end(wrong)
}
const bin = path.join(ROOT, 'node_modules', '.bin')
const child = spawn(command, args, {
  stdio: 'inherit',
  env: { ...process.env, PATH: `${bin}${path.delimiter}${process.env.PATH}`, NEXT_TELEMETRY_DISABLED: '1' },
})
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => child.kill(signal))
child.on('error', () => end(`${command} could not be started.`))
child.on('close', (code, signal) => process.exit(code ?? (signal ? 130 : 1)))
