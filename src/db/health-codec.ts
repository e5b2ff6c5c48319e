import { createCipheriv, createDecipheriv, randomBytes } from 'node:crypto'
import { chmodSync, existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs'
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
 * The key from its file, made on first use. It lies outside the database, so that a copied database tells nothing.
 * @param file where it is kept, readable by its owner only
 * @returns null where the file is there but is no key: health answers stay shut and all else works
 */
export function healthKey(file: string): HealthKey | null {
  if (!existsSync(file)) {
    mkdirSync(path.dirname(file), { recursive: true })
    const key = randomBytes(KEY_BYTES)
    writeFileSync(file, key.toString('base64'), { mode: 0o600 })
    chmodSync(file, 0o600)
    return key
  }
  const key = Buffer.from(readFileSync(file, 'utf8').trim(), 'base64')
  return key.length === KEY_BYTES ? key : null
}

/**
 * Seals a value for one person.
 * @param owner bound into the seal, so that a row moved to another person does not open
 */
export function seal(key: HealthKey, owner: string, value: unknown): string {
  const nonce = randomBytes(NONCE_BYTES)
  const cipher = createCipheriv(CIPHER, key, nonce).setAAD(Buffer.from(owner))
  const text = Buffer.concat([cipher.update(JSON.stringify(value), 'utf8'), cipher.final()])
  return Buffer.concat([nonce, cipher.getAuthTag(), text]).toString('base64')
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
