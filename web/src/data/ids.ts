/** A random UUID (version 4) that also works on plain http, where `crypto.randomUUID` is missing. */
export function newId(): string {
  const bytes = crypto.getRandomValues(new Uint8Array(16))
  bytes[6] = ((bytes[6] as number) & 0x0f) | 0x40
  bytes[8] = ((bytes[8] as number) & 0x3f) | 0x80
  const hex = [...bytes].map((byte) => byte.toString(16).padStart(2, '0')).join('')
  return `${hex.slice(0, 8)}-${hex.slice(8, 12)}-${hex.slice(12, 16)}-${hex.slice(16, 20)}-${hex.slice(20)}`
}

const KEY = 'overhaul.device'

/** This screen, told apart from another one in the same hands. */
export function deviceId(): string {
  const known = sessionStorage.getItem(KEY)
  if (known) return known
  const made = newId().slice(0, 8)
  sessionStorage.setItem(KEY, made)
  return made
}
