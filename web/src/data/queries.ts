import type { JobRecord, RackBicycle, RackWish } from '@overhaul/core/http/contract'
import type { Entry } from '@overhaul/core/stand/entries'
import { loadFamily } from '@overhaul/core/workshop/load'
import {
  type InfiniteData,
  infiniteQueryOptions,
  keepPreviousData,
  QueryClient,
  useInfiniteQuery,
  useQuery,
} from '@tanstack/react-query'
import { useEffect, useRef } from 'react'
import { ApiFault, Away, api, InTrouble, type ListPage } from './api.ts'
import { lastWithoutGap, mergeEntries } from './merge.ts'

/** `networkMode: always`: the server on this machine answers while the browser believes itself offline. */
export const queryClient = new QueryClient({
  defaultOptions: {
    queries: {
      networkMode: 'always',
      staleTime: 5000,
      retry: (count, error) => !(error instanceof ApiFault) && count < 3,
    },
    mutations: { networkMode: 'always' },
  },
})

const RACK = ['rack'] as const

/** Everything that hangs there, by name. */
const WHOLE_RACK: RackWish = { part: 'hanging', q: '', sort: 'name' }

const jobKey = (id: string) => ['job', id] as const

const RACK_LIST = [...RACK, 'list'] as const

/** How many bicycles are where; asked again and again, which costs nothing while nothing changed. */
export const useRackCounts = () => useQuery({ queryKey: [...RACK, 'counts'], queryFn: api.rack, refetchInterval: 5000 })

const rackList = (wish: RackWish) =>
  infiniteQueryOptions({
    queryKey: [...RACK_LIST, wish],
    queryFn: ({ pageParam }) => api.rackPage(wish, pageParam),
    initialPageParam: undefined as string | undefined,
    getNextPageParam: (last, pages) =>
      pages.reduce((sum, { rows }) => sum + rows.length, 0) < last.total ? last.rows.at(-1)?.id : undefined,
  })

/** The bicycles wanted, page by page; read again when something on the rack changed. What was shown stays until its successor is there. */
export function useRackList(wish: RackWish) {
  const { data: counts } = useRackCounts()
  const changes = counts && `${counts.epoch} ${counts.changes}`
  const list = useInfiniteQuery({ ...rackList(wish), placeholderData: keepPreviousData })
  const seen = useRef(changes)
  useEffect(() => {
    if (seen.current !== undefined && seen.current !== changes)
      queryClient.invalidateQueries({ queryKey: RACK_LIST }).catch(() => undefined)
    seen.current = changes
  }, [changes])
  return list
}

/** The bicycles this screen has read of, each as it was read last. */
export function rackRead(): readonly RackBicycle[] {
  const lists = queryClient.getQueryCache().findAll({ queryKey: RACK_LIST })
  const read = new Map<string, RackBicycle>()
  for (const { state } of lists.sort((a, b) => a.state.dataUpdatedAt - b.state.dataUpdatedAt)) {
    const list = state.data as InfiniteData<ListPage<RackBicycle>> | undefined
    for (const { rows } of list?.pages ?? []) for (const row of rows) read.set(row.id, row)
  }
  return [...read.values()]
}

export const useJobRecord = (id: string) =>
  useQuery({ queryKey: jobKey(id), queryFn: () => api.job(id), staleTime: Number.POSITIVE_INFINITY })

/** A brake family, without the others. */
export const useFamily = (id: string | undefined) =>
  useQuery({
    queryKey: ['family', id],
    queryFn: () => loadFamily(id as string),
    // Its code comes from the server too: what is shown waits until it is back.
    retry: true,
    enabled: id !== undefined,
    staleTime: Number.POSITIVE_INFINITY,
    gcTime: Number.POSITIVE_INFINITY,
  })

export const useBicycle = (id: string | undefined) =>
  useQuery({ queryKey: ['bicycle', id], queryFn: () => api.bicycle(id as string), enabled: id !== undefined })

/** Words that make the same name: case and the spaces around and between them aside. */
const asNamed = (name: string) => name.toLowerCase().split(/\s+/).filter(Boolean).join(' ')

/** Another bicycle of this name, hanging or off the rack; null where there is none. */
export const useNamesake = (name: string, except?: string) =>
  useQuery({
    queryKey: [...RACK, 'namesake', asNamed(name), except],
    queryFn: async () => {
      const found = await Promise.all(
        (['hanging', 'retired'] as const).map((part) => api.rackPage({ part, q: name, sort: 'name' })),
      )
      const same = ({ id, name: other }: RackBicycle) => id !== except && asNamed(other) === asNamed(name)
      return found.flatMap(({ rows }) => rows).find(same) ?? null
    },
    enabled: asNamed(name) !== '',
  })

/**
 * A bicycle was changed: it, the rack and the jobs open on it are read again. No list shows it as it was until it is read: what was
 * taken off would be worked on.
 */
export function refreshBicycle(id: string): Promise<unknown> {
  queryClient.removeQueries({ queryKey: RACK_LIST, type: 'inactive' })
  return Promise.all([
    queryClient.invalidateQueries({ queryKey: ['bicycle', id] }),
    queryClient.invalidateQueries({ queryKey: ['job'] }),
    refreshRack(),
    queryClient.prefetchInfiniteQuery(rackList(WHOLE_RACK)),
  ])
}

const refreshRack = () => queryClient.invalidateQueries({ queryKey: RACK })

/** Adds entries heard of to a job's record; what was known already changes nothing. */
export function heard(jobId: string, entries: readonly Entry[]): void {
  queryClient.setQueryData<JobRecord>(jobKey(jobId), (record) => {
    if (!record) return record
    const known = new Set(record.entries.map(({ id }) => id))
    const fresh = entries.filter(({ id }) => !known.has(id))
    return fresh.length === 0 ? record : { ...record, entries: mergeEntries(record.entries, fresh) }
  })
}

/** The bicycle of a job was given another name, here or elsewhere. */
export function renamed(jobId: string, bicycle: JobRecord['bicycle']): void {
  queryClient.setQueryData<JobRecord>(jobKey(jobId), (record) => record && { ...record, bicycle })
  refreshRack().catch(() => undefined)
}

/** The brake of a job was measured again, here or elsewhere. */
export function remeasured(jobId: string, hardware: JobRecord['hardware']): void {
  queryClient.setQueryData<JobRecord>(jobKey(jobId), (record) => record && { ...record, hardware })
}

/** The workshop's log is another than this screen saw, restored from a backup: the job is read from its beginning. */
export const readAnew = (jobId: string): Promise<void> => queryClient.refetchQueries({ queryKey: jobKey(jobId) })

/** What the server says of itself: undefined while all is well, its sentence where nothing more is written. */
export interface ServerState {
  /** It does not answer. */
  readonly away: boolean
  /** It answers and writes nothing, and why. */
  readonly trouble?: string
}

/** How the workshop's server stands, asked again and again: an idle screen knows it too. */
export const useServer = (): ServerState => {
  const { error } = useQuery({ queryKey: ['health'], queryFn: api.health, refetchInterval: 10_000, retry: false })
  return error instanceof InTrouble ? { away: false, trouble: error.message } : { away: error instanceof Away }
}

const DOOR = ['door'] as const

/** How this screen stands at the workshop's door; looked at again, so that one shown out knows it. */
export const useDoor = () => useQuery({ queryKey: DOOR, queryFn: api.door, refetchInterval: 15_000 })
export const refreshDoor = () => queryClient.invalidateQueries({ queryKey: DOOR })

/** Let in: everything that was refused before is asked for again. */
export const refreshAll = () => queryClient.invalidateQueries()

/** Fetches what a job's record still lacks. */
export async function catchUp(jobId: string): Promise<void> {
  const record = queryClient.getQueryData<JobRecord>(jobKey(jobId))
  if (record) {
    try {
      heard(jobId, await api.entriesAfter(jobId, lastWithoutGap(record.entries), record.epoch))
    } catch (error) {
      if (!(error instanceof ApiFault) || error.fault.code !== 'log-behind') throw error
      await readAnew(jobId)
    }
  }
  await refreshRack()
}

/** What this screen knows of a job’s log: its last entry, and the epoch of the data it was read in. */
export function knownOf(jobId: string): { readonly after: number; readonly epoch: string } {
  const record = queryClient.getQueryData<JobRecord>(jobKey(jobId))
  return { after: lastWithoutGap(record?.entries ?? []), epoch: record?.epoch ?? '' }
}

/** What stands in the rooms that list things, so that they can be walked through while the server is away. */
export const fetchRooms = () =>
  Promise.all([
    queryClient.prefetchQuery({ queryKey: [...RACK, 'counts'], queryFn: api.rack }),
    queryClient.prefetchInfiniteQuery(rackList(WHOLE_RACK)),
    queryClient.prefetchQuery({ queryKey: ['drawer', 'parts'], queryFn: api.drawer }),
  ])

/** The job of this number; null where there is none. */
export const useJobNumbered = (number: number | undefined) =>
  useQuery({
    queryKey: [...RACK, 'job', number],
    queryFn: async () => (await api.jobsSought(String(number))).rows.find((job) => job.number === number) ?? null,
    enabled: number !== undefined,
  })

const WORKSHOP = ['workshop'] as const

/** Whose papers they are. */
export const useWorkshop = () => useQuery({ queryKey: WORKSHOP, queryFn: api.workshop })

export const refreshWorkshop = () => queryClient.invalidateQueries({ queryKey: WORKSHOP })

/** A tag by its code: whose it is, and its picture where the workshop is shared. */
export const useTag = (code: string) =>
  useQuery({ queryKey: ['tag', code], queryFn: () => api.tag(code), enabled: code !== '', retry: false })
