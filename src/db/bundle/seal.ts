import { createCipheriv, createDecipheriv, createHash, scryptSync } from 'node:crypto'

const CIPHER = 'aes-256-gcm'
const SALT_BYTES = 16
const NONCE_BYTES = 12
const TAG_BYTES = 16
/** Some tenths of a second a guess. */
const COST = { N: 2 ** 15, r: 8, p: 1, maxmem: 64 * 1024 * 1024 } as const

/**
 * Seals bytes with a passphrase. The salt comes from what is sealed, so that the same studio under the same passphrase is
 * the same file; another content is another salt, and so another key.
 */
export function sealWith(passphrase: string, bytes: Uint8Array): Uint8Array {
  const salt = createHash('sha256').update('levitar bundle').update(bytes).digest().subarray(0, SALT_BYTES)
  const { key, nonce } = keyOf(passphrase, salt)
  const cipher = createCipheriv(CIPHER, key, nonce)
  const sealed = Buffer.concat([cipher.update(bytes), cipher.final()])
  return new Uint8Array(Buffer.concat([salt, cipher.getAuthTag(), sealed]))
}

/** Opens what `sealWith` shut; null where the passphrase is another, or a byte is. */
export function openWith(passphrase: string, sealed: Uint8Array): Uint8Array | null {
  if (sealed.length < SALT_BYTES + TAG_BYTES) return null
  const bytes = Buffer.from(sealed)
  const { key, nonce } = keyOf(passphrase, bytes.subarray(0, SALT_BYTES))
  const decipher = createDecipheriv(CIPHER, key, nonce).setAuthTag(
    bytes.subarray(SALT_BYTES, SALT_BYTES + TAG_BYTES),
  )
  try {
    return new Uint8Array(
      Buffer.concat([decipher.update(bytes.subarray(SALT_BYTES + TAG_BYTES)), decipher.final()]),
    )
  } catch {
    return null
  }
}

function keyOf(passphrase: string, salt: Buffer): { key: Buffer; nonce: Buffer } {
  const key = scryptSync(passphrase.normalize('NFKC'), salt, 32, COST)
  return { key, nonce: createHash('sha256').update(salt).digest().subarray(0, NONCE_BYTES) }
}
