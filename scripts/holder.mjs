// Who holds a file: a lock that is over when its holder is, even where process numbers come round again.
import { execFileSync } from 'node:child_process'
import { existsSync, readFileSync, rmSync, writeFileSync } from 'node:fs'

/**
 * Writes the file with this process as its holder; the result takes it away again.
 * @param {string} file
 * @param {object} more what whoever finds it should know, such as an address
 * @param {number} pid the process that has to live for the hold to last
 */
export function hold(file, more = {}, pid = process.pid) {
  writeFileSync(file, JSON.stringify({ pid, began: beganAt(pid), ...more }), { mode: 0o600 })
  return () => rmSync(file, { force: true })
}

/** What the living holder wrote, or null: nobody holds it, or whoever did is gone. */
export function heldBy(file) {
  if (!existsSync(file)) return null
  let holder
  try {
    holder = JSON.parse(readFileSync(file, 'utf8'))
  } catch {
    return null
  }
  // A bare number is from a version that wrote nothing else: such a holder cannot be told from its namesake.
  if (holder === null || typeof holder !== 'object') return null
  if (holder.pid === process.pid || holder.began === null) return null
  return beganAt(holder.pid) === holder.began ? holder : null
}

/** When a process began, as a word that no other process of that number has; null when there is none. */
function beganAt(pid) {
  try {
    // The name in brackets may hold spaces; the start is the 20th field behind it.
    const stat = readFileSync(`/proc/${pid}/stat`, 'utf8')
    const boot = readFileSync('/proc/sys/kernel/random/boot_id', 'utf8').trim()
    const fields = stat.slice(stat.lastIndexOf(')') + 2).split(' ')
    // One that ended and was not fetched yet holds nothing.
    return fields[0] === 'Z' ? null : `${boot} ${fields[19]}`
  } catch {
    if (existsSync('/proc/self/stat')) return null
  }
  try {
    return execFileSync('ps', ['-o', 'lstart=', '-p', String(pid)], { encoding: 'utf8' }).trim() || null
  } catch {
    return null
  }
}
