import type { SpeedUnit } from '@overhaul/core/features/prove/series'
import type { Outcome } from '@overhaul/core/outcome/outcome'
import { proxy, type Remote, releaseProxy, wrap } from 'comlink'
import { useEffect, useRef, useState } from 'react'
import type { Stopped, Traced, TraceWorker } from './trace.worker.ts'

/** What is being read, how far, and what came of it. */
export type TraceState =
  | { readonly kind: 'none' }
  | { readonly kind: 'reading'; readonly words: string }
  | { readonly kind: 'failed'; readonly message: string; readonly file?: File }
  | { readonly kind: 'read'; readonly traced: Traced; readonly name: string; readonly file?: File }

/** Traces are read and fitted beside the screen, so that a finger never waits for a file. */
export function useTrace() {
  const worker = useRef<{ readonly of: Worker; readonly remote: Remote<TraceWorker> }>(undefined)
  const [state, setState] = useState<TraceState>({ kind: 'none' })
  useEffect(
    () => () => {
      worker.current?.remote[releaseProxy]()
      worker.current?.of.terminate()
    },
    [],
  )
  const remote = (): Remote<TraceWorker> => {
    if (!worker.current) {
      const of = new Worker(new URL('./trace.worker.ts', import.meta.url), { type: 'module' })
      worker.current = { of, remote: wrap<TraceWorker>(of) }
    }
    return worker.current.remote
  }
  // What the worker says of its progress may come after what it came to: it is then old.
  const say = (words: string) => setState((now) => (now.kind === 'reading' ? { kind: 'reading', words } : now))
  const settle = (outcome: Outcome<Traced>, name: string, file?: File) =>
    setState(
      outcome.ok
        ? { kind: 'read', traced: outcome.value, name, ...(file && { file }) }
        : { kind: 'failed', message: outcome.error.message, ...(file && { file }) },
    )
  const failed = (error: unknown) =>
    setState({ kind: 'failed', message: `The trace could not be read: ${(error as Error).message}` })

  return {
    state,
    read(file: File, unit?: SpeedUnit) {
      setState({ kind: 'reading', words: `Reading ${file.name}…` })
      const onProgress = (share: number) => say(`Reading ${file.name}, ${(100 * share).toFixed(0)} %…`)
      remote()
        .read(file, unit, proxy(onProgress))
        .then((outcome) => settle(outcome, file.name, file), failed)
    },
    record(seed: number, stop: { speedMs: number; decelerationMs2: number; wheelMm: number }) {
      setState({ kind: 'reading', words: 'Waiting for the logger…' })
      const onPulses = (count: number) => say(`The logger sends: ${count} pulses…`)
      remote()
        .record(seed, stop, proxy(onPulses))
        .then((outcome) => settle(outcome, 'practice logger'), failed)
    },
    withWheel(roundMm: number) {
      remote()
        .withWheel(roundMm)
        .then((outcome) => settle(outcome, 'practice logger'), failed)
    },
    /** One stop fitted anew. */
    async refit(index: number, startS?: number): Promise<string | undefined> {
      if (state.kind !== 'read') return undefined
      const stop = state.traced.stops[index]
      if (!stop) return undefined
      const again: Outcome<Stopped> = await remote().refit(stop.stop, startS)
      if (!again.ok) return again.error.message
      setState({
        ...state,
        traced: { ...state.traced, stops: state.traced.stops.with(index, again.value) },
      })
      return undefined
    },
    clear: () => setState({ kind: 'none' }),
  }
}
