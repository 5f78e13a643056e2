const formats = new Map<string | undefined, Intl.DateTimeFormat>()

/** One made for each zone and kept: making it costs more than a thousand moments put into words. */
function formatIn(zone: string | undefined): Intl.DateTimeFormat {
  const known = formats.get(zone)
  if (known) return known
  const format = new Intl.DateTimeFormat('en-GB', {
    weekday: 'short',
    day: 'numeric',
    month: 'short',
    year: 'numeric',
    hour: '2-digit',
    minute: '2-digit',
    hourCycle: 'h23',
    ...(zone !== undefined && { timeZone: zone }),
  })
  formats.set(zone, format)
  return format
}

type Parts = Readonly<Record<string, string>>

/** Moments put into words: a log says the same ones again with every entry that is written. */
const said = new Map<string, Parts>()
const MOST_SAID = 2000

/** A moment as a workshop says it, in its own time: day named, hours of a whole day. `zone` is an IANA name; the machine’s own if left out. */
function parts(at: string, zone?: string): Parts {
  const key = `${at} ${zone ?? ''}`
  const known = said.get(key)
  if (known) return known
  const found = Object.fromEntries(
    formatIn(zone)
      .formatToParts(new Date(at))
      .map(({ type, value }) => [type, value]),
  )
  if (said.size >= MOST_SAID) said.clear()
  said.set(key, found)
  return found
}

/** “Thu 26 Nov 2026”. `at` is ISO 8601. */
export function sayDay(at: string, zone?: string): string {
  const { weekday, day, month, year } = parts(at, zone)
  return `${weekday} ${day} ${month?.slice(0, 3)} ${year}`
}

/** “5 Mar”. */
export function sayShortDay(at: string, zone?: string): string {
  const { day, month } = parts(at, zone)
  return `${day} ${month?.slice(0, 3)}`
}

/** “17:05”. */
export function sayClock(at: string, zone?: string): string {
  const { hour, minute } = parts(at, zone)
  return `${hour}:${minute}`
}

/** “Thu 26 Nov 2026, 17:05”. */
export const sayWhen = (at: string, zone?: string): string => `${sayDay(at, zone)}, ${sayClock(at, zone)}`
