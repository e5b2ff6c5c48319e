import 'server-only'
import { Secret, TOTP } from 'otpauth'
import { renderSVG } from 'uqr'
import { newCode } from '@/db/access-code'

const STEP_S = 30
/** Codes that stand in for a lost telephone. */
const RECOVERY = 10

/** A new seed, and what an authenticator reads it from. */
export function newSeed(login: string): { seed: string; svg: string } {
  const secret = new Secret({ size: 20 })
  const totp = new TOTP({ issuer: 'Levitar', label: login, secret, period: STEP_S })
  return { seed: secret.base32, svg: renderSVG(totp.toString(), { border: 2 }) }
}

/**
 * Which step a code belongs to, one step of slack on both sides (RFC 6238); null where it fits none, or one that was used.
 * @param used the last step that was taken
 */
export function stepOf(seed: string, code: string, used: number | null, nowMs: number): number | null {
  const totp = new TOTP({ secret: Secret.fromBase32(seed), period: STEP_S })
  const delta = totp.validate({ token: code.replaceAll(/\s/g, ''), timestamp: nowMs, window: 1 })
  if (delta === null) return null
  const step = Math.floor(nowMs / 1000 / STEP_S) + delta
  return used !== null && step <= used ? null : step
}

/** Codes for a lost second factor: to be printed, each good once. */
export function recoveryCodes(): string[] {
  return Array.from({ length: RECOVERY }, () => newCode(10))
}
