import { ok, refused, type Result } from './result'

export type QuantityRefusal =
  | { code: 'quantity-empty' }
  | { code: 'quantity-not-a-number'; typed: string }
  | { code: 'quantity-out-of-range'; value: number; min: number; max: number }

/** Reads a number as people type it, comma or point; refuses what is empty, not a number, or outside the range. */
export function parseQuantity(
  typed: string,
  range: { min: number; max: number },
): Result<number, QuantityRefusal> {
  const text = typed.trim()
  if (text === '') return refused({ code: 'quantity-empty' })
  if (!/^-?\d+(?:[.,]\d+)?$/.test(text)) return refused({ code: 'quantity-not-a-number', typed: text })
  const value = Number(text.replace(',', '.'))
  if (value < range.min || value > range.max)
    return refused({ code: 'quantity-out-of-range', value, ...range })
  return ok(value)
}

export type NameRefusal =
  | { code: 'name-empty' }
  | { code: 'name-too-long'; length: number; most: number }
  | { code: 'name-has-symbols'; name: string }
  | { code: 'name-without-letters'; name: string }

const NAME_LIMIT = 80

/** A person's name: any script, at least one letter, no pictures or control characters, 80 characters at most. */
export function parseName(typed: string): Result<string, NameRefusal> {
  const name = typed.normalize('NFC').replace(/\s+/g, ' ').trim()
  if (name === '') return refused({ code: 'name-empty' })
  if (name.length > NAME_LIMIT)
    return refused({ code: 'name-too-long', length: name.length, most: NAME_LIMIT })
  if (/[\p{Extended_Pictographic}\p{Cc}<>]/u.test(name)) return refused({ code: 'name-has-symbols', name })
  if (!/\p{L}/u.test(name)) return refused({ code: 'name-without-letters', name })
  return ok(name)
}
