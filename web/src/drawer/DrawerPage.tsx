import { findPartKind } from '@overhaul/core/drawer/kinds'
import { isShort, type Part, sayDimensions } from '@overhaul/core/drawer/part'
import { useDeferredValue, useMemo, useState } from 'react'
import styled from 'styled-components'
import { byName } from '../app/in-order.ts'
import { useMedia, useSettings } from '../app/settings.ts'
import { PHONE } from '../app/theme.ts'
import { DRAWER, moveParts, useDrawer } from '../data/drawer.ts'
import { Mark } from '../drawing/Mark.tsx'
import { DataTable, type TableColumn } from '../ui/DataTable.tsx'
import { LinkPress, Page } from '../ui/layout.ts'
import { Press } from '../ui/Press.tsx'
import { SearchField } from '../ui/SearchField.tsx'
import { Title } from '../ui/Title.tsx'
import { OnOff } from '../ui/Toggles.tsx'
import { Complaint, Slate } from '../ui/words.tsx'
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
const Named = styled.div`
  display: grid;
  grid-template-columns: 26px minmax(0, 1fr) auto;
  gap: 2px 12px;
  align-items: center;
  min-height: 52px;
  b {
    font: 600 1.1875rem/1.2 var(--label);
  }
`
const Stock = styled.div`
  display: grid;
  grid-template-columns: 46px 58px 46px;
  align-items: center;
  text-align: center;
  button {
    padding: 0;
  }
  b {
    font: 600 1.75rem/1 var(--label);
    font-variant-numeric: tabular-nums;
  }
`

type Open = { readonly kind: 'new' } | { readonly kind: 'file' } | { readonly kind: 'part'; readonly part: Part }

const kindOf = ({ kind }: Part): string => findPartKind(kind)?.title ?? kind

/** Small parts on hand: how many there are, what they measure, what is short. */
export default function DrawerPage() {
  const { data: parts, error, isPending } = useDrawer()
  const phone = useMedia(PHONE)
  const { currency } = useSettings()
  const [search, setSearch] = useState('')
  const [onlyShort, setOnlyShort] = useState(false)
  const [open, setOpen] = useState<Open>()
  const text = useDeferredValue(search)
  const inOrder = useMemo(() => [...(parts ?? [])].sort(byName), [parts])
  const shown = useMemo(
    () => inOrder.filter((part) => matchesPart(part, text) && (!onlyShort || isShort(part))),
    [inOrder, text, onlyShort],
  )
  const short = (parts ?? []).filter(isShort).length
  const close = () => setOpen(undefined)
  const columns = useMemo(
    () => columnsOf(phone, currency, (part) => setOpen({ kind: 'part', part })),
    [phone, currency],
  )

  return (
    <Page>
      <Title>Drawer</Title>
      <Tools>
        <SearchField label="Search the drawer" placeholder="part, code or size" value={search} onChange={setSearch} />
        <OnOff on={onlyShort} onChange={setOnlyShort}>{`To buy, ${short}`}</OnOff>
        <Press onPress={() => setOpen({ kind: 'new' })}>New part</Press>
        <LinkPress href="/api/drawer/drawer.csv" download>
          Save as CSV
        </LinkPress>
        <Press onPress={() => setOpen({ kind: 'file' })}>Read a CSV</Press>
      </Tools>
      <WaitingChanges about={DRAWER} />
      {open?.kind === 'new' && <EditPart onClose={close} />}
      {open?.kind === 'file' && <DrawerFile onClose={close} />}
      {open?.kind === 'part' && <EditPart key={open.part.id} part={open.part} onClose={close} />}
      {isPending && <Slate>Opening the drawer…</Slate>}
      {error && <Complaint>{error.message}</Complaint>}
      {parts?.length === 0 && (
        <p>The drawer is empty. Add a part, or read a CSV; the planners then choose from what is here.</p>
      )}
      {parts && parts.length > 0 && shown.length === 0 && <p>Nothing in the drawer answers to “{search}”.</p>}
      {shown.length > 0 && (
        <DataTable
          label="Parts in the drawer"
          columns={columns}
          data={shown}
          idOf={(part) => part.id}
          sortedBy="kind"
          asked={`${onlyShort} ${text}`}
        />
      )}
    </Page>
  )
}

/** What stands in the table; a phone shows what the hand needs. */
function columnsOf(phone: boolean, currency: string, onEdit: (part: Part) => void): readonly TableColumn<Part>[] {
  const part: TableColumn<Part> = {
    id: 'name',
    header: 'part',
    accessorFn: ({ name }) => name,
    cell: ({ row: { original } }) => <PartName part={original} onEdit={() => onEdit(original)} />,
  }
  const count: TableColumn<Part> = {
    id: 'count',
    header: 'on hand',
    accessorFn: (each) => each.count,
    cell: ({ row: { original } }) => <InStock part={original} />,
  }
  const kind: TableColumn<Part> = { id: 'kind', header: 'kind', accessorFn: kindOf }
  const least: TableColumn<Part> = {
    id: 'minimum',
    header: 'at least',
    accessorFn: (each) => each.minimum,
    cell: ({ row: { original } }) => (original.minimum > 0 ? original.minimum : ''),
  }
  const price: TableColumn<Part> = {
    id: 'price',
    header: `price, ${currency}`,
    accessorFn: (each) => each.price ?? 0,
    cell: ({ row: { original } }) => original.price?.toFixed(2) ?? '',
  }
  return phone ? [part, count] : [part, kind, count, least, price]
}

function PartName({ part, onEdit }: { part: Part; onEdit: () => void }) {
  const short = isShort(part)
  return (
    <Named>
      <Mark shape={short ? 'low' : 'in'} size={20} label={short ? 'to buy' : 'enough'} />
      <span>
        <b>{part.name}</b> <Slate>{part.code}</Slate>
        <br />
        <Slate>{sayDimensions(part)}</Slate>
      </span>
      <Press quiet aria-label={`change ${part.name}`} onPress={onEdit}>
        Change
      </Press>
    </Named>
  )
}

function InStock({ part }: { part: Part }) {
  const { by } = useSettings()
  const by1 = (delta: number) =>
    moveParts([{ partId: part.id, name: part.name, delta, by, why: delta < 0 ? 'taken' : 'put in' }])
  return (
    <Stock>
      <Press aria-label={`take one ${part.name}`} onPress={() => by1(-1)}>
        −
      </Press>
      <b>{part.count}</b>
      <Press aria-label={`put in one ${part.name}`} onPress={() => by1(1)}>
        +
      </Press>
    </Stock>
  )
}
