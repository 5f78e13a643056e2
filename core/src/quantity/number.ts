import { type Outcome, ok, refuse } from '../outcome/outcome.ts'

const VULGAR: Record<string, string> = {
  '½': '1/2',
  '¼': '1/4',
  '¾': '3/4',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
  '⅓': '1/3',
  '⅔': '2/3',
}

const NUMBER = /^([+-]?)(?:(\d+)[ -]+(\d+)\/(\d+)|(\d+)\/(\d+)|(\d+(?:[.,]\d*)?|[.,]\d+))$/

/** `1½` reads as `1 1/2`; a typographic minus reads as a minus. */
export const plainDigits = (text: string): string =>
  text
    .replace(/(\d?)([½¼¾⅛⅜⅝⅞⅓⅔])/g, (_, whole: string, fraction: string) =>
      whole ? `${whole} ${VULGAR[fraction]}` : (VULGAR[fraction] ?? ''),
    )
    .replace(/[−–]/g, '-')
    .trim()

/**
 * A number as it is written at the bench: `1.4`, `1,4`, `5/16`, `1 1/4`, `1½`, `-1/4`.
 * Refuses anything else, and a fraction over nothing.
 */
export function parseNumber(text: string, field = 'value'): Outcome<number> {
  const match = NUMBER.exec(plainDigits(text))
  if (!match) {
    return refuse('not-a-number', field, `“${text}” is not a number. Accepted: 1.4, 5/16, 1 1/4 or 1½.`)
  }
  const [, sign, whole, overA, underA, overB, underB, decimal] = match
  const under = Number(underA ?? underB ?? 1)
  if (under === 0) return refuse('not-a-number', field, `“${text}” divides by nothing.`)
  const size = decimal ? Number(decimal.replace(',', '.')) : Number(whole ?? 0) + Number(overA ?? overB) / under
  return ok(sign === '-' ? -size : size)
}

const EIGHTHS = ['', '⅛', '¼', '⅜', '½', '⅝', '¾', '⅞']

/** A turn as a hand makes it: the nearest eighth, written as a fraction (1.25 is “1¼”). */
export function formatFraction(value: number): string {
  const eighths = Math.round(Math.abs(value) * 8)
  const whole = Math.floor(eighths / 8)
  const part = EIGHTHS[eighths % 8] ?? ''
  const size = whole === 0 && part !== '' ? part : `${whole}${part}`
  return value < 0 && eighths > 0 ? `−${size}` : size
}
