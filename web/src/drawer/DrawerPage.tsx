import { findPartKind } from '@overhaul/core/drawer/kinds'
import { isShort, type Part, sayDimensions } from '@overhaul/core/drawer/part'
import { useDeferredValue, useMemo, useState } from 'react'
import styled from 'styled-components'
import { useSettings } from '../app/settings.ts'
import { phone } from '../app/theme.ts'
import { DRAWER, moveParts, useDrawer } from '../data/drawer.ts'
import { Mark } from '../drawing/Mark.tsx'
import { Complaint, Label, linkPress, Page, Press, SearchField, Slate } from '../ui/parts.tsx'
import { WaitingChanges } from '../waiting/WaitingChanges.tsx'
import { DrawerFile } from './DrawerFile.tsx'
import { EditPart } from './EditPart.tsx'
import { matchesPart } from './filter.ts'

const Tools = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 12px 14px;
  align-items: center;
`
const FileLink = styled.a`
  ${linkPress}
`
const Row = styled.li`
  display: grid;
  grid-template-columns: 26px minmax(0, 1fr) 150px auto;
  gap: 6px 14px;
  align-items: center;
  min-height: 58px;
  padding: 5px 0;
  border-bottom: 1px solid var(--rule);
  ${phone} {
    grid-template-columns: 26px minmax(0, 1fr) auto;
    > :last-child {
      grid-column: 2 / -1;
    }
  }
`
const Count = styled.span`
  text-align: right;
  font: 600 28px/1 var(--label);
  font-variant-numeric: tabular-nums;
  small {
    font: 500 16px/1.2 var(--label);
    color: var(--slate);
    display: block;
  }
`

type Open = { readonly kind: 'new' } | { readonly kind: 'file' } | { readonly kind: 'part'; readonly id: string }

/** Small parts on hand: how many there are, what they measure, what is short. */
export default function DrawerPage() {
  const { data: parts, error, isPending } = useDrawer()
  const [search, setSearch] = useState('')
  const [onlyShort, setOnlyShort] = useState(false)
  const [open, setOpen] = useState<Open>()
  const text = useDeferredValue(search)
  const shown = useMemo(
    () => (parts ?? []).filter((part) => matchesPart(part, text) && (!onlyShort || isShort(part))),
    [parts, text, onlyShort],
  )
  const kinds = useMemo(() => [...new Set(shown.map((part) => part.kind))], [shown])
  const short = (parts ?? []).filter(isShort).length
  const close = () => setOpen(undefined)

  return (
    <Page>
      <Tools>
        <SearchField label="Search the drawer" placeholder="part, code or size" value={search} onChange={setSearch} />
        <Press aria-pressed={onlyShort} {...(onlyShort && { go: true })} onPress={() => setOnlyShort(!onlyShort)}>
          {`To buy, ${short}`}
        </Press>
        <Press onPress={() => setOpen({ kind: 'new' })}>New part</Press>
        <FileLink href="/api/drawer/drawer.csv" download>
          Save as CSV
        </FileLink>
        <Press onPress={() => setOpen({ kind: 'file' })}>Read a CSV</Press>
      </Tools>
      <WaitingChanges about={DRAWER} />
      {open?.kind === 'new' && <EditPart onClose={close} />}
      {open?.kind === 'file' && <DrawerFile onClose={close} />}
      {isPending && <Slate>Opening the drawer…</Slate>}
      {error && <Complaint>{error.message}</Complaint>}
      {parts?.length === 0 && (
        <p>The drawer is empty. Add a part, or read a CSV; the planners then choose from what is here.</p>
      )}
      {parts && parts.length > 0 && shown.length === 0 && <p>Nothing in the drawer answers to “{search}”.</p>}
      {kinds.map((kind) => (
        <section key={kind} aria-label={findPartKind(kind)?.title}>
          <Label>{findPartKind(kind)?.title}</Label>
          <ul>
            {shown
              .filter((part) => part.kind === kind)
              .map((part) =>
                open?.kind === 'part' && open.id === part.id ? (
                  <li key={part.id}>
                    <EditPart part={part} onClose={close} />
                  </li>
                ) : (
                  <PartRow key={part.id} part={part} onEdit={() => setOpen({ kind: 'part', id: part.id })} />
                ),
              )}
          </ul>
        </section>
      ))}
    </Page>
  )
}

function PartRow({ part, onEdit }: { part: Part; onEdit: () => void }) {
  const { by } = useSettings()
  const by1 = (delta: number) =>
    moveParts([{ partId: part.id, name: part.name, delta, by, why: delta < 0 ? 'taken' : 'put in' }])
  const short = isShort(part)
  return (
    <Row>
      <Mark shape={short ? 'low' : 'in'} size={20} label={short ? 'to buy' : 'enough'} />
      <span>
        <b>{part.name}</b> <Slate>{part.code}</Slate>
        <br />
        <Slate>{sayDimensions(part)}</Slate>
      </span>
      <Count>
        {part.count}
        {part.minimum > 0 && <small>at least {part.minimum}</small>}
      </Count>
      <span style={{ display: 'flex', gap: 6 }}>
        <Press aria-label={`take one ${part.name}`} onPress={() => by1(-1)}>
          −
        </Press>
        <Press aria-label={`put in one ${part.name}`} onPress={() => by1(1)}>
          +
        </Press>
        <Press aria-label={`change ${part.name}`} onPress={onEdit}>
          Change
        </Press>
      </span>
    </Row>
  )
}
