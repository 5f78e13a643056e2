import type { Counted, RackWish } from '@overhaul/core/http/contract'
import { type KeyboardEvent as ReactKeyboardEvent, useDeferredValue, useEffect, useMemo, useRef, useState } from 'react'
import { useNavigate, useSearchParams } from 'react-router'
import styled from 'styled-components'
import { useMedia } from '../app/settings.ts'
import { PHONE, phone } from '../app/theme.ts'
import { useChanges } from '../data/changes.ts'
import { rackRead, useRackCounts, useRackList, useServer } from '../data/queries.ts'
import { Choose } from '../ui/Choose.tsx'
import { LinkPress } from '../ui/layout.ts'
import { Press } from '../ui/Press.tsx'
import { SearchField } from '../ui/SearchField.tsx'
import { Title } from '../ui/Title.tsx'
import { Toggles } from '../ui/Toggles.tsx'
import { Complaint, Label, Slate } from '../ui/words.tsx'
import { WaitingChanges } from '../waiting/WaitingChanges.tsx'
import { FoundJob } from './FoundJob.tsx'
import { type ForJob, JOBS, NewJob, type NewJobBody } from './NewJob.tsx'
import { RackList } from './RackList.tsx'
import { wantedAmong } from './remembered.ts'
import { placeOf } from './told.ts'
import { useScanner } from './use-scanner.ts'
import { PARTS, queryOf, SORTS, wishIn } from './wish.ts'

const Room = styled.main`
  flex: 1;
  min-height: 0;
  display: flex;
  flex-direction: column;
`
const Head = styled.div`
  display: grid;
  gap: 12px;
  padding: 14px 24px;
  ${phone} {
    padding: 10px 16px;
  }
`
const Tools = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 10px 14px;
  align-items: center;
`
const Empty = styled.div`
  display: grid;
  gap: 12px;
  justify-items: start;
  padding: 20px 24px;
`

const ANY = 'any'
const choices = (any: string, counted: readonly Counted[]) => [
  { id: ANY, title: any },
  ...counted.map(({ id, title, count }) => ({ id, title: `${title} ${count}` })),
]
const chosen = (id: string) => (id === ANY ? undefined : id)

/** Every bicycle hanging in the workshop, a line each: how each brake stands, what is the matter with it and what was done last. */
export default function RackPage() {
  const [query, setQuery] = useSearchParams()
  const wish = useMemo(() => wishIn(query), [query])
  // What is typed stands in its field at once; the rail follows when there is time.
  const [typed, setTyped] = useState(wish.q)
  const sought = useDeferredValue(typed)
  const counts = useRackCounts()
  const list = useRackList({ ...wish, q: sought })
  const [opening, setOpening] = useState<ForJob>()
  const { waiting } = useChanges()
  const navigate = useNavigate()
  const addBicycle = () => navigate('/bicycles/new')
  const narrow = useMedia(PHONE)
  const search = useRef<HTMLDivElement>(null)

  const change = (more: Partial<Record<keyof RackWish, string | undefined>>) =>
    setQuery(queryOf({ ...wish, q: typed, ...more } as RackWish), { replace: true })
  // biome-ignore lint/correctness/useExhaustiveDependencies: only what is sought is written, when it is
  useEffect(() => {
    if (sought !== wish.q) change({ q: sought })
  }, [sought])
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.key !== '/' || (event.target as HTMLElement).closest('input, textarea, select')) return
      event.preventDefault()
      search.current?.querySelector('input')?.focus()
    }
    document.addEventListener('keydown', onKey)
    return () => document.removeEventListener('keydown', onKey)
  }, [])

  useScanner((code) => navigate(`/b/${code}`))

  const server = useServer()
  // What was asked for cannot be read: what this screen has read is looked through instead.
  const isRemembered = list.isError ? list.data === undefined : list.isPlaceholderData && server.away
  const bicycles = useMemo(() => {
    if (!isRemembered) return list.data?.pages.flatMap(({ rows }) => rows) ?? []
    return wantedAmong(rackRead(), { ...wish, q: sought }, new Date().toISOString())
  }, [list.data, isRemembered, wish, sought])
  const total = isRemembered ? bicycles.length : list.isPlaceholderData ? undefined : list.data?.pages[0]?.total
  const families = useMemo(
    () => new Map(counts.data?.families.map(({ id, title }) => [id, title])),
    [counts.data?.families],
  )
  const onTheirWay = useMemo(
    () => new Set(waiting.filter(({ path }) => path === JOBS).map(({ body }) => (body as NewJobBody).brakeId)),
    [waiting],
  )
  const isWhole = wish.part === 'hanging' && !wish.family && !wish.station && sought.trim() === ''
  const counted = counts.data?.parts
  const parts = {
    label: 'Show',
    options: PARTS.map(({ id, title }) => ({ id, title: `${title} ${counted?.[id] ?? ''}` })),
    value: wish.part,
    onChange: (part: string) => change({ part }),
  }
  /** Down goes along what was found, Enter to the first of it. */
  const fromSearch = (event: ReactKeyboardEvent) => {
    const [first] = bicycles
    if (event.key === 'ArrowDown') {
      event.preventDefault()
      document.querySelector<HTMLElement>('[role="grid"][aria-label="Bicycles"] [role="row"]')?.focus()
    } else if (event.key === 'Enter' && first) navigate(placeOf(first))
  }
  const isBare = counted?.hanging === 0 && counted.retired === 0

  return (
    <Room>
      <Title>Rack</Title>
      <Head>
        <Tools>
          <div ref={search} style={{ flex: '1 1 180px', maxWidth: 420, display: 'grid' }}>
            <SearchField
              label="Search the rack"
              placeholder="number, tyre, complaint"
              value={typed}
              onChange={setTyped}
              onKeyDown={fromSearch}
            />
          </div>
          <Choose
            label="Brake"
            unseen
            options={choices('any brake', counts.data?.families ?? [])}
            value={wish.family ?? ANY}
            onChange={(id) => change({ family: chosen(id) })}
          />
          <Choose
            label="Station"
            unseen
            options={choices('at any station', counts.data?.stations ?? [])}
            value={wish.station ?? ANY}
            onChange={(id) => change({ station: chosen(id) })}
          />
          <Choose label="Order" unseen options={SORTS} value={wish.sort} onChange={(sort) => change({ sort })} />
        </Tools>
        <Tools>
          {narrow ? <Choose unseen {...parts} /> : <Toggles {...parts} />}
          {total !== undefined && !isWhole && (
            <Slate>{total === 1 ? 'one bicycle found' : `${total} bicycles found`}</Slate>
          )}
          <span style={{ marginLeft: 'auto', display: 'flex', gap: 10 }}>
            <LinkPress href="/workshop">Workshop</LinkPress>
            <Press onPress={addBicycle}>New bicycle</Press>
          </span>
        </Tools>
        <FoundJob sought={sought} />
        <WaitingChanges />
        {opening && <NewJob key={opening.brakeId} on={opening} onDone={() => setOpening(undefined)} />}
        {list.error && (
          <Tools>
            <Complaint>{list.error.message}</Complaint>
            {isRemembered && <span>Looked for among the bicycles that this screen has read.</span>}
            <Press onPress={() => list.refetch()}>Try again</Press>
          </Tools>
        )}
      </Head>
      {list.isLoading && (
        <Empty>
          <Slate>Fetching the rack…</Slate>
        </Empty>
      )}
      {total === 0 && isBare && (
        <Empty>
          <Label>The rail is empty</Label>
          <p>Hang up the first bicycle: its number, its brakes, and what was measured of them.</p>
          <Press go onPress={addBicycle}>
            New bicycle
          </Press>
        </Empty>
      )}
      {total === 0 && !isBare && (
        <Empty>
          <p>
            {sought.trim() === ''
              ? 'No bicycle fits all of what is chosen here.'
              : `Nothing on the rail matches “${sought}”${isWhole ? '' : ' in this part of it'}.`}
          </p>
          <Press
            onPress={() => {
              setTyped('')
              setQuery(new URLSearchParams(), { replace: true })
            }}
          >
            Show all
          </Press>
        </Empty>
      )}
      {bicycles.length > 0 && (
        <RackList
          bicycles={bicycles}
          families={families}
          waiting={onTheirWay}
          isLoadingMore={list.isFetchingNextPage}
          onMore={() => {
            if (list.hasNextPage && !list.isFetchingNextPage) list.fetchNextPage()
          }}
          onNewJob={setOpening}
        />
      )}
    </Room>
  )
}
