import { createCipheriv, createDecipheriv, createHash, randomBytes } from 'node:crypto'
import {
  closeSync,
  existsSync,
  fsyncSync,
  mkdirSync,
  openSync,
  readFileSync,
  renameSync,
  rmSync,
  writeSync,
} from 'node:fs'
import path from 'node:path'

/** AES-256 in Galois/counter mode: what was changed or belongs to somebody else does not open. */
const CIPHER = 'aes-256-gcm'
const KEY_BYTES = 32
const NONCE_BYTES = 12
const TAG_BYTES = 16

/** The key that seals health answers. */
export type HealthKey = Buffer & { readonly healthKey?: never }

/** Where the key lies: beside the database, never in it. */
export function healthKeyFile(folder: string): string {
  return path.join(/* turbopackIgnore: true */ folder, 'keys', 'health.key')
}

/**
 * The key from its file; it is never made here.
 * @returns null where the file is missing, or is no key: health answers stay shut and all else works
 */
export function readHealthKey(file: string): HealthKey | null {
  if (!existsSync(file)) return null
  const key = Buffer.from(readFileSync(file, 'utf8').trim(), 'base64')
  return key.length === KEY_BYTES ? key : null
}

/** Makes a key. Only for a studio in which nothing is sealed yet: whoever calls this has looked. */
export function makeHealthKey(file: string): HealthKey {
  const key = randomBytes(KEY_BYTES)
  writeHealthKey(file, key)
  return key
}

/**
 * Puts a key in its place, outside the database, readable by its owner only. It is written under another name, synced and
 * renamed, so that a crash leaves either the old file or a whole new one.
 */
export function writeHealthKey(file: string, key: HealthKey): void {
  mkdirSync(path.dirname(file), { recursive: true, mode: 0o700 })
  const part = `${file}.part`
  rmSync(part, { force: true })
  const handle = openSync(part, 'wx', 0o600)
  writeSync(handle, key.toString('base64'))
  fsyncSync(handle)
  closeSync(handle)
  renameSync(part, file)
}

/** Letters that are hard to take for each other on paper. */
const LETTERS = 'ABCDEFGHJKLMNPQRSTUVWXYZ23456789'
const CHECK_BYTES = 3

/** A key as it is printed: groups of four letters, the last of which tell a slip of the pen. */
export function recoveryCode(key: HealthKey): string {
  const bytes = Buffer.concat([key, checkOf(key)])
  let bits = ''
  for (const byte of bytes) bits += byte.toString(2).padStart(8, '0')
  const letters = bits.match(/.{5}/g)?.map((five) => LETTERS[parseInt(five, 2)] ?? '') ?? []
  return letters.join('').match(/.{4}/g)?.join(' ') ?? ''
}

/** The key of a printed code; null where a letter is wrong or missing. */
export function keyFromCode(typed: string): HealthKey | null {
  const letters = typed.toUpperCase().replace(/[^A-Z0-9]/g, '')
  const bits = Array.from(letters, (l) => LETTERS.indexOf(l).toString(2).padStart(5, '0'))
  if (bits.some((b) => b.includes('-'))) return null
  const bytes = Buffer.from((bits.join('').match(/.{8}/g) ?? []).map((eight) => parseInt(eight, 2)))
  if (bytes.length !== KEY_BYTES + CHECK_BYTES) return null
  const key = bytes.subarray(0, KEY_BYTES)
  return checkOf(key).equals(bytes.subarray(KEY_BYTES)) ? key : null
}

function checkOf(key: Buffer): Buffer {
  return createHash('sha256').update(key).digest().subarray(0, CHECK_BYTES)
}

/**
 * Seals a value for one person.
 * @param owner bound into the seal, so that a row moved to another person does not open
 */
export function seal(key: HealthKey, owner: string, value: unknown): string {
  const nonce = randomBytes(NONCE_BYTES)
  const cipher = createCipheriv(CIPHER, key, nonce).setAAD(Buffer.from(owner))
  const text = Buffer.concat([cipher.update(padded(JSON.stringify(value))), cipher.final()])
  return Buffer.concat([nonce, cipher.getAuthTag(), text]).toString('base64')
}

/** How long a row is says nothing of how much was told: so many bytes, or as many again. */
const PAGE_BYTES = 4096

/** With spaces behind it, which a reader of JSON passes over. */
function padded(text: string): Buffer {
  const bytes = Buffer.from(text, 'utf8')
  const whole = Math.max(1, Math.ceil(bytes.length / PAGE_BYTES)) * PAGE_BYTES
  return Buffer.concat([bytes, Buffer.alloc(whole - bytes.length, ' ')])
}

/** Opens what `seal` shut; null where key, owner or text are not the ones it was shut with. */
export function unseal(key: HealthKey, owner: string, sealed: string): unknown {
  const bytes = Buffer.from(sealed, 'base64')
  const nonce = bytes.subarray(0, NONCE_BYTES)
  const tag = bytes.subarray(NONCE_BYTES, NONCE_BYTES + TAG_BYTES)
  const decipher = createDecipheriv(CIPHER, key, nonce).setAAD(Buffer.from(owner)).setAuthTag(tag)
  try {
    const text = Buffer.concat([decipher.update(bytes.subarray(NONCE_BYTES + TAG_BYTES)), decipher.final()])
    return JSON.parse(text.toString('utf8')) as unknown
  } catch {
    return null
  }
}
