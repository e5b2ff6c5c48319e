import { createHash, randomBytes } from 'node:crypto'

/** Letters and digits that are not taken for one another. */
const ALPHABET = 'abcdefghjkmnpqrstuvwxyz23456789'
/** Bytes past the last whole alphabet would favour its first letters. */
const FAIR = 256 - (256 % ALPHABET.length)

/** A code that people type: five bits a letter, and a little less. */
export function newCode(length: number): string {
  let code = ''
  while (code.length < length)
    for (const byte of randomBytes(length))
      if (byte < FAIR && code.length < length) code += ALPHABET.charAt(byte % ALPHABET.length)
  return code
}

/** What is kept of such a code, however it was typed. */
export function codeHash(typed: string): string {
  return createHash('sha256')
    .update(typed.toLowerCase().replaceAll(/[^a-z0-9]/g, ''))
    .digest('hex')
}

/** In fours, as it is read aloud. */
export function inFours(code: string): string {
  return code.replaceAll(/(.{4})(?=.)/g, '$1 ')
}
