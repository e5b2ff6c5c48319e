// Packages and build: made when they are missing, made anew when an earlier attempt was broken off. Needs Node alone.
import { execFileSync, spawnSync } from 'node:child_process'
import { createHash } from 'node:crypto'
import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import path from 'node:path'
import { filesBelow, ROOT, run } from './lib.mjs'
import { heldBy, hold } from './holder.mjs'

const MODULES = path.join(ROOT, 'node_modules')
const LOCKFILE = path.join(ROOT, 'package-lock.json')
/** Which lockfile the packages are those of; written last. */
const INSTALLED = path.join(MODULES, '.levitar-lock')
const BUILD = path.join(ROOT, '.next')
/** Which sources the build is made of; written last, taken away before a build begins. */
const BUILT = path.join(BUILD, '.levitar-sources')
/** Who is at work on either; whoever was killed leaves one that nobody holds. */
const INSTALLING = path.join(ROOT, '.levitar-installing')
const BUILDING = path.join(ROOT, '.levitar-building')

/** One sentence for what is missing to compile the database driver, or null. */
export function missingTools() {
  const has = (name) => {
    try {
      execFileSync('which', [name], { stdio: 'ignore' })
      return true
    } catch {
      return false
    }
  }
  const [major, minor] = process.versions.node.split('.').map(Number)
  if (major < 20 || (major === 20 && minor < 9))
    return `Levitar needs Node 20.9 or newer; this is ${process.versions.node}.`
  const missing = ['python3', 'make', 'g++'].filter((tool) => !has(tool))
  if (missing.length === 0) return null
  return `The database driver is compiled on install and ${missing.join(', ')} ${missing.length === 1 ? 'is' : 'are'} missing: install ${missing.join(' ')} with your system's package manager (on Debian: apt-get install -y python3 make g++) and run this again.`
}

/** Whether the packages are those of the lockfile and whole. */
export function isInstalled() {
  if (existsSync(INSTALLING)) return false
  const marked = existsSync(INSTALLED) && readFileSync(INSTALLED, 'utf8') === hashFiles([LOCKFILE])
  return marked && unfinished() === null
}

/**
 * Installs packages when they are not those of the lockfile, or not whole. What was broken off is thrown away first: npm
 * takes a folder that it left half full for one that it filled.
 * @returns null, or a sentence on what stands in the way
 */
export async function ensureInstalled({ stdio } = {}) {
  if (isInstalled()) return null
  const missing = missingTools()
  if (missing) return missing
  await whenFree(INSTALLING, 'Another start installs the packages; waiting for it …')
  if (isInstalled()) return null
  const brokenOff = existsSync(INSTALLING)
  // Somebody’s own npm install is as good, if it is whole.
  if (!brokenOff && !existsSync(INSTALLED) && unfinished() === null && runs()) {
    writeFileSync(INSTALLED, hashFiles([LOCKFILE]))
    return null
  }
  const release = hold(INSTALLING)
  for (const fresh of [brokenOff || unfinished() !== null, true]) {
    if (fresh) rmSync(MODULES, { recursive: true, force: true })
    rmSync(INSTALLED, { force: true })
    // Not `npm ci`: it insists on other systems' optional binaries, which not every registry carries. The lockfile still pins.
    const well = await run('npm', ['install', '--no-save', '--loglevel=error'], { stdio })
    if (!well) return 'The packages could not be installed; the lines above say why.'
    if (unfinished() === null && runs()) {
      writeFileSync(INSTALLED, hashFiles([LOCKFILE]))
      release()
      return null
    }
    process.stderr.write('The packages are not whole; once more from an empty folder …\n')
  }
  return `The packages do not work though npm calls them installed (${unfinished() ?? 'the database driver does not open'}): delete the folder node_modules and run this again.`
}

/** The first package of the lockfile that is not there as it should be, or null. */
function unfinished() {
  // npm writes this one last of all.
  if (!existsSync(path.join(MODULES, '.package-lock.json'))) return 'the install did not end'
  for (const tool of ['next', 'tsx']) if (!existsSync(path.join(MODULES, '.bin', tool))) return tool
  const { packages } = JSON.parse(readFileSync(LOCKFILE, 'utf8'))
  for (const [at, { version, optional, devOptional, os, cpu }] of Object.entries(packages)) {
    if (at === '' || optional || devOptional || os || cpu) continue
    try {
      if (JSON.parse(readFileSync(path.join(ROOT, at, 'package.json'), 'utf8')).version !== version) return at
    } catch {
      return at
    }
  }
  return null
}

/** Whether the compiled driver opens a database. */
function runs() {
  const open = "new (require('better-sqlite3'))(':memory:').close()"
  return spawnSync(process.execPath, ['-e', open], { cwd: ROOT }).status === 0
}

/** Whether the last build is of these sources and was made to its end. */
export function isBuilt() {
  if (existsSync(BUILDING)) return false
  return (
    existsSync(path.join(BUILD, 'BUILD_ID')) &&
    existsSync(BUILT) &&
    readFileSync(BUILT, 'utf8') === sourceHash()
  )
}

/** Builds for production unless the sources are those of the last build. */
export async function ensureBuilt() {
  if (isBuilt()) return true
  await whenFree(BUILDING, 'Another start builds; waiting for it …')
  if (isBuilt()) return true
  return build()
}

/** Builds for production. */
export async function build() {
  // What a killed build left is no ground for the next one.
  if (existsSync(BUILDING)) rmSync(BUILD, { recursive: true, force: true })
  const release = hold(BUILDING)
  rmSync(BUILT, { force: true })
  const want = sourceHash()
  const well = await run('npx', ['next', 'build'])
  if (!well) {
    release()
    return false
  }
  mkdirSync(BUILD, { recursive: true })
  writeFileSync(BUILT, want)
  release()
  return true
}

/** Waits while somebody who lives holds the file. */
async function whenFree(file, sentence) {
  for (let told = false; heldBy(file) !== null; told = true) {
    if (!told) process.stderr.write(`${sentence}\n`)
    await new Promise((resolve) => setTimeout(resolve, 500))
  }
}

function sourceHash() {
  const files = ['src', 'public']
    .map((f) => path.join(ROOT, f))
    .filter(existsSync)
    .flatMap(filesBelow)
  return hashFiles([
    ...files.sort(),
    ...['next.config.ts', 'package-lock.json'].map((f) => path.join(ROOT, f)),
  ])
}

function hashFiles(files) {
  const hash = createHash('sha256')
  for (const file of files) hash.update(path.relative(ROOT, file)).update(readFileSync(file))
  return hash.digest('hex')
}
