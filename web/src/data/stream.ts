import type { JobRecord } from '@overhaul/core/http/contract'
import type { Entry } from '@overhaul/core/stand/entries'
import { useEffect } from 'react'
import { catchUp, heard, knownOf, readAnew, remeasured, renamed } from './queries.ts'
import { onWaking } from './waking.ts'

const SILENCE_MS = 30_000
const AGAIN_MS = 1500

/** Listens to a job's log while its screen is in sight; opens again after silence, from the last entry known. */
export function useJobStream(jobId: string, ready: boolean): void {
  useEffect(() => {
    if (!ready) return
    let source: EventSource | undefined
    let watch: ReturnType<typeof setTimeout> | undefined

    const stop = () => {
      source?.close()
      source = undefined
      clearTimeout(watch)
    }
    const again = (after: number) => {
      clearTimeout(watch)
      watch = setTimeout(start, after)
    }
    const start = () => {
      stop()
      if (document.hidden) return
      const { after, epoch } = knownOf(jobId)
      source = new EventSource(`/api/jobs/${jobId}/stream?after=${after}&epoch=${epoch}`)
      source.addEventListener('entry', (event) => {
        heard(jobId, [JSON.parse((event as MessageEvent<string>).data) as Entry])
        again(SILENCE_MS)
      })
      source.addEventListener('bicycle', (event) => {
        renamed(jobId, JSON.parse((event as MessageEvent<string>).data) as JobRecord['bicycle'])
        again(SILENCE_MS)
      })
      source.addEventListener('hardware', (event) => {
        remeasured(jobId, JSON.parse((event as MessageEvent<string>).data) as JobRecord['hardware'])
        again(SILENCE_MS)
      })
      source.addEventListener('behind', () => {
        readAnew(jobId).catch(() => undefined)
        again(SILENCE_MS)
      })
      source.addEventListener('beat', () => again(SILENCE_MS))
      source.onerror = () => {
        stop()
        again(AGAIN_MS)
      }
      again(SILENCE_MS)
    }
    const onHidden = () => {
      if (document.hidden) stop()
    }

    start()
    document.addEventListener('visibilitychange', onHidden)
    const sleep = onWaking(() => {
      catchUp(jobId).catch(() => undefined)
      start()
    })
    return () => {
      document.removeEventListener('visibilitychange', onHidden)
      sleep()
      stop()
    }
  }, [jobId, ready])
}
