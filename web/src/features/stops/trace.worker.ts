import { BEGINS_MS, fitStop, indexAt, type Stop, type StopFit, stopsIn } from '@overhaul/core/features/prove/fit'
import { type Pulses, pulsesOf, seriesOfPulses } from '@overhaul/core/features/prove/logger'
import {
  type Read,
  type Series,
  type SpeedUnit,
  seriesOfRows,
  seriesOfTrack,
} from '@overhaul/core/features/prove/series'
import { type Outcome, ok, refuse } from '@overhaul/core/outcome/outcome'
import { loggerLines } from '@overhaul/core/simulate/stop-run'
import { expose } from 'comlink'

/** How far the reading of a file has come, 0 to 1. */
export type OnProgress = (share: number) => void

/** A trace as the screen needs it: thinned for drawing, the whole of it stays here. */
export interface Traced {
  readonly unit: SpeedUnit
  readonly isSure: boolean
  readonly seconds: number
  readonly stops: readonly Stopped[]
  /** A logger’s wheel as it was told, mm round. */
  readonly roundMm?: number
}

/** One stop of a trace: its fit, and what is drawn around it. */
export interface Stopped {
  readonly stop: Stop
  readonly fit: Outcome<StopFit>
  readonly points: readonly { readonly x: number; readonly y: number }[]
}

const MOST_BYTES = 64e6
const DRAWN = 420
const AROUND_S = 3

let held: { readonly read: Read; readonly pulses?: Pulses } | undefined

const endOf = ({ t }: Series) => t[t.length - 1] as number

/** Places of a trace around a stop, every so many of them. */
function drawn({ t, v }: Series, stop: Stop, fit: Outcome<StopFit>): Stopped['points'] {
  const from = fit.ok ? fit.value.startS - AROUND_S : (t[stop.from] as number)
  const to = fit.ok ? fit.value.endS + 1 : (t[stop.to] as number)
  const [a, b] = [indexAt(t, from), Math.min(t.length, indexAt(t, to))]
  const step = Math.max(1, Math.ceil((b - a) / DRAWN))
  const points: { x: number; y: number }[] = []
  for (let index = a; index < b; index += step) points.push({ x: t[index] as number, y: (v[index] as number) * 3.6 })
  return points
}

function stopped(series: Series, stop: Stop, startS?: number): Stopped {
  const fit = fitStop(series, stop, startS)
  return { stop, fit, points: drawn(series, stop, fit) }
}

function traced(read: Outcome<Read>, pulses?: Pulses): Outcome<Traced> {
  if (!read.ok) return read
  const { series, unit, isSure } = read.value
  const stops = stopsIn(series)
  if (stops.length === 0)
    return refuse(
      'no-stop',
      'file',
      `This trace has no stop in it: it never comes from ${BEGINS_MS * 3.6} km/h or more to a standstill. It runs to ${(Math.max(0, ...Array.from(series.v.subarray(0, 5000))) * 3.6).toFixed(0)} km/h, read as ${unit}.`,
    )
  held = { read: read.value, ...(pulses && { pulses }) }
  return ok({
    unit,
    isSure,
    seconds: endOf(series),
    stops: stops.map((stop) => stopped(series, stop)),
    ...(pulses && { roundMm: pulses.roundMm }),
  })
}

async function rowsOf(text: string, onProgress: OnProgress): Promise<readonly (readonly string[])[]> {
  const { default: Papa } = await import('papaparse')
  const rows: string[][] = []
  Papa.parse<string[]>(text, {
    skipEmptyLines: true,
    step({ data, meta }) {
      rows.push(data)
      if (rows.length % 20_000 === 0) onProgress(0.1 + (0.8 * meta.cursor) / text.length)
    },
  })
  return rows
}

interface TrackXml {
  readonly gpx?: { readonly trk?: readonly { readonly trkseg?: readonly { readonly trkpt?: readonly PointXml[] }[] }[] }
}
interface PointXml {
  readonly lat?: string
  readonly lon?: string
  readonly time?: string
  readonly speed?: string
  readonly extensions?: { readonly speed?: string }
}

async function trackOf(text: string): Promise<Outcome<Read>> {
  const { XMLParser } = await import('fast-xml-parser')
  const lists = new Set(['trk', 'trkseg', 'trkpt'])
  const parser = new XMLParser({
    ignoreAttributes: false,
    attributeNamePrefix: '',
    parseTagValue: false,
    removeNSPrefix: true,
    isArray: (name) => lists.has(name),
  })
  let xml: TrackXml
  try {
    xml = parser.parse(text) as TrackXml
  } catch (error) {
    return refuse('bad-file', 'file', `This GPX file cannot be read: ${(error as Error).message}`)
  }
  const points = (xml.gpx?.trk ?? []).flatMap(({ trkseg = [] }) => trkseg.flatMap(({ trkpt = [] }) => trkpt))
  const places = points.flatMap(({ lat, lon, time, speed, extensions }) => {
    const at = Date.parse(time ?? '') / 1000
    const told = speed ?? extensions?.speed
    return Number.isFinite(at)
      ? [{ lat: Number(lat), lon: Number(lon), at, ...(told !== undefined && { speedMs: Number(told) }) }]
      : []
  })
  return seriesOfTrack(places)
}

const api = {
  /** Reads a CSV or GPX file, finds its stops and fits each. `unit` where somebody said what its speeds are in. */
  async read(file: File, unit: SpeedUnit | undefined, onProgress: OnProgress): Promise<Outcome<Traced>> {
    if (file.size > MOST_BYTES)
      return refuse(
        'too-large',
        'file',
        `${file.name} is ${(file.size / 1e6).toFixed(0)} MB. Accepted: up to ${MOST_BYTES / 1e6} MB.`,
      )
    onProgress(0.02)
    const text = await file.text()
    onProgress(0.1)
    const isTrack = /\.gpx$/i.test(file.name) || /^\s*(<\?xml[^>]*>\s*)?<gpx/i.test(text.slice(0, 400))
    const read = isTrack ? await trackOf(text) : seriesOfRows(await rowsOf(text, onProgress), unit)
    onProgress(0.95)
    return traced(read)
  },

  /** A stop ridden with the practice logger, its pulses coming in as they would. */
  async record(
    seed: number,
    stop: { speedMs: number; decelerationMs2: number; wheelMm: number },
    onPulses: (count: number) => void,
  ): Promise<Outcome<Traced>> {
    const { wheelMm, ...ridden } = stop
    const lines = loggerLines({ ...ridden, beginS: 3, buildUpS: 0.12 }, seed, {
      roundMm: wheelMm,
      wheelFactor: seed % 3 === 0 ? 1.05 : 1,
    })
    for (let sent = 0; sent < lines.length; sent += 24) {
      onPulses(sent)
      await new Promise((resolve) => setTimeout(resolve, 40))
    }
    const pulses = pulsesOf(lines)
    return pulses.ok ? traced(seriesOfPulses(pulses.value), pulses.value) : pulses
  },

  /** The same pulses by another wheel. */
  withWheel(roundMm: number): Outcome<Traced> {
    const pulses = held?.pulses
    if (!pulses) return refuse('no-trace', 'wheel', 'There are no pulses to read anew.')
    return traced(seriesOfPulses(pulses, roundMm), { ...pulses, roundMm })
  },

  /** One stop with its begin put somewhere by hand; where it was found, if none is given. */
  refit(stop: Stop, startS?: number): Outcome<Stopped> {
    if (!held) return refuse('no-trace', 'file', 'There is no trace to fit.')
    const { series } = held.read
    const again = stopped(series, stop, startS)
    return again.fit.ok ? ok(again) : again.fit
  },
}

export type TraceWorker = typeof api
expose(api)
