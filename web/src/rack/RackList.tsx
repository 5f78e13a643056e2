import type { RackBicycle } from '@overhaul/core/http/contract'
import { useRef } from 'react'
import {
  Collection,
  GridList,
  GridListItem,
  GridListLoadMoreItem,
  ListLayout,
  Virtualizer,
} from 'react-aria-components'
import { Link, useNavigate } from 'react-router'
import styled from 'styled-components'
import { upright } from '../app/theme.ts'
import { BrakeCell } from './BrakeCell.tsx'
import type { ForJob } from './NewJob.tsx'
import { placeOf } from './told.ts'

const List = styled(GridList)`
  flex: 1;
  min-height: 0;
  overflow-y: auto;
  outline: none;
` as typeof GridList
const Tag = styled(GridListItem)`
  display: grid;
  grid-template-columns: minmax(190px, 25fr) minmax(0, 42fr) minmax(0, 42fr);
  gap: 0 28px;
  align-items: start;
  border-top: 1px solid var(--rule);
  padding: 0 24px;
  cursor: pointer;
  outline: none;
  &[data-focus-visible] {
    box-shadow: inset 0 0 0 3px var(--predicted);
  }
  &[data-pressed] {
    background: var(--wash);
  }
  ${upright} {
    grid-template-columns: minmax(0, 1fr);
    padding: 0 16px;
  }
`
/** A tag on its rail: the hole, and what is written on it. */
const Written = styled.div`
  border-left: 3px solid var(--ink);
  margin: 10px 0;
  padding-left: 12px;
  min-width: 0;
  a {
    display: inline-flex;
    align-items: center;
    min-height: 44px;
    max-width: 100%;
    font: 600 1.5rem/1.1 var(--label);
    text-decoration: underline dotted var(--control);
    text-underline-offset: 4px;
  }
  p {
    color: var(--slate);
    display: -webkit-box;
    -webkit-box-orient: vertical;
    -webkit-line-clamp: 2;
    overflow: hidden;
  }
`

/** A line of the rail is about so high; each is measured when it comes into sight. */
const LAYOUT = { estimatedRowHeight: 128 }

interface Props {
  readonly bicycles: readonly RackBicycle[]
  /** Titles of the families, by their ids. */
  readonly families: ReadonlyMap<string, string>
  /** Brakes for which a job is on its way. */
  readonly waiting: ReadonlySet<string>
  readonly isLoadingMore: boolean
  readonly onMore: () => void
  readonly onNewJob: (on: ForJob) => void
}

/** The rail: a line a bicycle, only those in sight drawn. Arrows go along it, Enter to what is on the bench. */
export function RackList({ bicycles, families, waiting, isLoadingMore, onMore, onNewJob }: Props) {
  const navigate = useNavigate()
  const today = useRef(new Date().toISOString()).current
  const go = (id: string) => {
    const bicycle = bicycles.find((each) => each.id === id)
    if (bicycle) navigate(placeOf(bicycle))
  }
  return (
    <Virtualizer layout={ListLayout} layoutOptions={LAYOUT}>
      <List aria-label="Bicycles" selectionMode="none" onAction={(key) => go(String(key))}>
        <Collection items={bicycles} dependencies={[families, waiting]}>
          {(bicycle) => (
            <Tag id={bicycle.id} textValue={bicycle.name}>
              <Written>
                <h2>
                  <Link to={`/bicycles/${bicycle.id}`} aria-label={`Hardware of ${bicycle.name}`}>
                    {bicycle.name}
                  </Link>
                </h2>
                <p>{[bicycle.code, bicycle.description].filter(Boolean).join(' · ')}</p>
              </Written>
              {bicycle.brakes.map((brake) => (
                <BrakeCell
                  key={brake.id}
                  bicycle={bicycle.name}
                  brake={brake}
                  family={families.get(brake.family) ?? brake.family}
                  today={today}
                  isWaiting={waiting.has(brake.id)}
                  onNewJob={() =>
                    onNewJob({
                      bicycleId: bicycle.id,
                      brakeId: brake.id,
                      family: brake.family,
                      label: `${bicycle.name} ${brake.end}`,
                    })
                  }
                />
              ))}
            </Tag>
          )}
        </Collection>
        <GridListLoadMoreItem isLoading={isLoadingMore} onLoadMore={onMore}>
          <p style={{ padding: '14px 24px', color: 'var(--slate)' }}>Further along the rail…</p>
        </GridListLoadMoreItem>
      </List>
    </Virtualizer>
  )
}
