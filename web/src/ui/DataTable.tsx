import {
  type ColumnDef,
  createSortedRowModel,
  type RowData,
  rowSortingFeature,
  type SortingState,
  sortFns,
  tableFeatures,
  useTable,
} from '@tanstack/react-table'
import { ArrowDown, ArrowUp } from 'lucide-react'
import { useState } from 'react'
import { Cell, Column, Row, Table, TableBody, TableHeader, TableLoadMoreItem } from 'react-aria-components'
import styled from 'styled-components'

const features = tableFeatures({ rowSortingFeature, sortedRowModel: createSortedRowModel(), sortFns })

/** How one column of a table reads its row and shows it. */
export type TableColumn<T extends RowData> = ColumnDef<typeof features, T>

const Grid = styled(Table)`
  border-collapse: collapse;
  width: 100%;
  outline-offset: 2px;
`
const Head = styled(Column)`
  text-align: left;
  padding: 6px 14px 6px 0;
  border-bottom: 1.5px solid var(--ink);
  font: 600 1rem/1.2 var(--label);
  letter-spacing: 0.02em;
  white-space: nowrap;
  &[data-allows-sorting] {
    cursor: pointer;
    min-height: 44px;
    height: 44px;
  }
  svg {
    display: inline;
    vertical-align: -2px;
    margin-left: 4px;
  }
`
const Line = styled(Row)`
  &[data-focus-visible] {
    outline: 3px solid var(--predicted);
    outline-offset: -3px;
  }
`
const Field = styled(Cell)`
  padding: 5px 14px 5px 0;
  border-bottom: 1px solid var(--rule);
  vertical-align: middle;
  outline-offset: -3px;
  &:last-child {
    padding-right: 0;
  }
`

/** So many rows are drawn, and as many more whenever their end comes near: thousands at once would stop the screen for a minute. */
const A_SCREENFUL = 30

interface Props<T extends RowData> {
  readonly label: string
  readonly columns: readonly TableColumn<T>[]
  readonly data: readonly T[]
  readonly idOf: (row: T) => string
  readonly sortedBy?: string
  /** What these rows were chosen by: other ones are shown from their beginning. */
  readonly asked?: string
}

/** A table one walks with the arrow keys and sorts by its heads. The first column names its row. */
export function DataTable<T extends RowData>({ label, columns, data, idOf, sortedBy, asked }: Props<T>) {
  const [sorting, setSorting] = useState<SortingState>(sortedBy ? [{ id: sortedBy, desc: false }] : [])
  const table = useTable({
    features,
    columns: columns as TableColumn<T>[],
    data,
    getRowId: idOf,
    state: { sorting },
    onSortingChange: setSorting,
  })
  const [by] = sorting
  const rows = table.getRowModel().rows
  const order = JSON.stringify([sorting, asked])
  const [drawn, setDrawn] = useState({ order, count: A_SCREENFUL })
  const count = drawn.order === order ? drawn.count : A_SCREENFUL
  return (
    <Grid
      aria-label={label}
      {...(by && { sortDescriptor: { column: by.id, direction: by.desc ? 'descending' : 'ascending' } })}
      onSortChange={({ column, direction }) => setSorting([{ id: String(column), desc: direction === 'descending' }])}
    >
      <TableHeader>
        {table.getFlatHeaders().map((header, index) => (
          <Head
            key={header.id}
            id={header.id}
            isRowHeader={index === 0}
            allowsSorting={header.column.getCanSort()}
            textValue={String(header.column.columnDef.header)}
          >
            {({ sortDirection }) => (
              <>
                <table.FlexRender header={header} />
                {sortDirection === 'ascending' && <ArrowUp size={15} aria-hidden="true" />}
                {sortDirection === 'descending' && <ArrowDown size={15} aria-hidden="true" />}
              </>
            )}
          </Head>
        ))}
      </TableHeader>
      <TableBody>
        {rows.slice(0, count).map((row) => (
          <Line key={row.id} id={row.id}>
            {row.getAllCells().map((cell) => (
              <Field key={cell.id}>
                <table.FlexRender cell={cell} />
              </Field>
            ))}
          </Line>
        ))}
        {count < rows.length && (
          <TableLoadMoreItem onLoadMore={() => setDrawn({ order, count: count + A_SCREENFUL })} scrollOffset={1} />
        )}
      </TableBody>
    </Grid>
  )
}
