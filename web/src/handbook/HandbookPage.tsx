import { kitOf } from '@overhaul/core/bench/kit'
import { STATIONS } from '@overhaul/core/brake/station'
import { CALCULATIONS } from '@overhaul/core/calculations/registry'
import { FAMILIES } from '@overhaul/core/workshop/families'
import { type ReactNode, useDeferredValue, useEffect, useMemo, useRef, useState } from 'react'
import { Link, NavLink, useLocation, useNavigate, useParams, useSearchParams } from 'react-router'
import styled from 'styled-components'
import { phone } from '../app/theme.ts'
import { Hatches } from '../drawing/Hatches.tsx'
import { Choose } from '../ui/Choose.tsx'
import { SearchField } from '../ui/SearchField.tsx'
import { Title } from '../ui/Title.tsx'
import { Label, Slate } from '../ui/words.tsx'
import { CalculationPage } from './CalculationPage.tsx'
import { entriesOf, PAGES, seek } from './entries.ts'
import { SchoolsPage } from './SchoolsPage.tsx'
import { StationPage } from './StationPage.tsx'
import { CautionsPage, SymptomsPage, TapePage, TorquePage, WordsPage } from './tables.tsx'

const Room = styled.main`
  flex: 1;
  min-height: 0;
  display: grid;
  grid-template-columns: 300px minmax(0, 1fr);
  ${phone} {
    grid-template-columns: minmax(0, 1fr);
  }
`
const Index = styled.nav`
  min-height: 0;
  overflow-y: auto;
  border-right: 1px solid var(--rule);
  padding: 14px 16px 40px 24px;
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 14px;
  align-content: start;
  ${phone} {
    border-right: 0;
    padding: 12px 16px 40px;
  }
  ul {
    list-style: none;
    padding: 0;
  }
  a {
    min-height: 44px;
    display: grid;
    align-content: center;
    text-decoration: none;
    border-bottom: 1px solid var(--rule);
    font: 500 1.125rem/1.15 var(--label);
  }
  a[aria-current='page'] {
    font-weight: 700;
    border-bottom: 3px solid var(--ink);
  }
`
const Leaf = styled.div`
  min-height: 0;
  overflow-y: auto;
  padding: 18px 24px 60px;
  display: grid;
  gap: 22px;
  align-content: start;
  ${phone} {
    padding: 12px 16px 60px;
  }
  section {
    display: grid;
    gap: 10px;
    max-width: 1000px;
  }
  > h2,
  section > h2:first-child {
    font: 600 1.875rem/1.1 var(--label);
  }
  :target {
    outline: 3px solid var(--predicted);
    outline-offset: 4px;
  }
`

/** The handbook: an index down the side, one search over all of it, and one thing at a time beside it. */
export default function HandbookPage() {
  const { page, id } = useParams()
  const [query, setQuery] = useSearchParams()
  const [search, setSearch] = useState('')
  const family = FAMILIES.find((each) => each.id === query.get('brake')) ?? (FAMILIES[0] as (typeof FAMILIES)[0])
  const kit = kitOf(family)
  const entries = useMemo(() => entriesOf(kit), [kit])
  const sought = useDeferredValue(search)
  const found = seek(entries, sought)
  const navigate = useNavigate()
  const suffix = query.size > 0 ? `?${query}` : ''
  const at = (to: string) => {
    const [path = '', hash] = to.split('#')
    return `${path}${suffix}${hash ? `#${hash}` : ''}`
  }
  const leaf = useRef<HTMLDivElement>(null)
  const { pathname, hash } = useLocation()
  // biome-ignore lint/correctness/useExhaustiveDependencies: another page is read from its beginning, or from what was sought
  useEffect(() => {
    const target = hash && document.getElementById(hash.slice(1))
    if (target) target.scrollIntoView({ block: 'center' })
    else if (leaf.current) leaf.current.scrollTop = 0
  }, [pathname, hash])

  const link = (to: string, title: ReactNode) => (
    <li key={to}>
      <NavLink to={at(to)}>{title}</NavLink>
    </li>
  )
  const index = (
    <Index aria-label="Index">
      <form
        onSubmit={(event) => {
          event.preventDefault()
          if (found[0]) navigate(at(found[0].to))
        }}
      >
        <SearchField
          label="Search the handbook"
          placeholder="search the handbook"
          value={search}
          onChange={setSearch}
        />
      </form>
      <Choose
        label="for this brake"
        options={FAMILIES}
        value={family.id}
        onChange={(brake) => setQuery({ brake }, { replace: true })}
      />
      {sought.trim() !== '' ? (
        <ul aria-label="Found">
          {found.length === 0 && <p>Nothing in the handbook matches “{sought}”.</p>}
          {found.slice(0, 40).map((each) => (
            <li key={`${each.to} ${each.title}`}>
              <Link to={at(each.to)}>
                <span>
                  {each.title} <Slate>{each.kind}</Slate>
                </span>
              </Link>
            </li>
          ))}
        </ul>
      ) : (
        <>
          <Label>Stations</Label>
          <ul>{STATIONS.map((each) => link(`/handbook/station/${each.id}`, each.title))}</ul>
          <Label>Look up</Label>
          <ul>{PAGES.map((each) => link(`/handbook/${each.id}`, each.title))}</ul>
          <Label>Calculations</Label>
          <ul>{CALCULATIONS.map((each) => link(`/handbook/calculation/${each.id}`, each.title))}</ul>
        </>
      )}
    </Index>
  )
  const shown = page ?? 'symptoms'
  return (
    <Room>
      <Title>Handbook</Title>
      <Hatches />
      <Sides index={index} onPage={page !== undefined} back={at('/handbook')}>
        <Leaf ref={leaf}>
          {shown === 'station' && <StationPage kit={kit} station={id ?? 'wheel'} />}
          {shown === 'calculation' && <CalculationPage key={id} id={id ?? ''} />}
          {shown === 'schools' && <SchoolsPage key={family.id} family={family} />}
          {shown === 'torque' && <TorquePage />}
          {shown === 'cautions' && <CautionsPage />}
          {shown === 'words' && <WordsPage />}
          {shown === 'symptoms' && <SymptomsPage at={at} />}
          {shown === 'tape' && <TapePage kit={kit} family={family} />}
        </Leaf>
      </Sides>
    </Room>
  )
}

const Only = styled.div<{ $on: 'index' | 'page'; $page: boolean }>`
  display: contents;
  ${phone} {
    display: ${({ $on, $page }) => (($on === 'page') === $page ? 'contents' : 'none')};
  }
`
const Back = styled(Link)`
  display: none;
  ${phone} {
    display: grid;
    align-content: center;
    min-height: 46px;
    padding: 0 16px;
    font: 600 1.125rem/1 var(--label);
    border-bottom: 1px solid var(--rule);
  }
`

/** Index and page side by side; on a phone the one or the other. */
function Sides({
  index,
  onPage,
  back,
  children,
}: {
  index: ReactNode
  onPage: boolean
  back: string
  children: ReactNode
}) {
  return (
    <>
      <Only $on="index" $page={onPage}>
        {index}
      </Only>
      <Only $on="page" $page={onPage}>
        <div style={{ minHeight: 0, display: 'grid', gridTemplateRows: 'auto minmax(0, 1fr)' }}>
          <Back to={back}>Index</Back>
          {children}
        </div>
      </Only>
    </>
  )
}
