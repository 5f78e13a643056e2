import { type ReactNode, Suspense, useEffect, useState } from 'react'
import { Button } from 'react-aria-components'
import { createPortal } from 'react-dom'
import { NavLink, Outlet, useLocation } from 'react-router'
import styled from 'styled-components'
import { useChanges } from '../data/changes.ts'
import { useOutbox } from '../data/outbox.ts'
import { useDoor, useServer } from '../data/queries.ts'
import { lazily } from './lazily.ts'
import { SkipLink } from './SkipLink.tsx'
import { changeSettings, useSettings, useSheet } from './settings.ts'
import { GlobalStyle, phone, short } from './theme.ts'

const DoorPage = lazily(async () => (await import('../door/DoorPage.tsx')).DoorPage)

const Page = styled.div`
  height: 100dvh;
  overflow: hidden;
  display: flex;
  flex-direction: column;
  ${short} {
    height: auto;
    min-height: 100dvh;
    overflow: visible;
  }
  @media print {
    height: auto;
    overflow: visible;
  }
`
const Head = styled.header`
  display: flex;
  align-items: center;
  gap: 26px;
  min-height: 48px;
  padding: 0 24px;
  border-bottom: 1px solid var(--rule);
  flex-wrap: wrap;
  font: 500 1.125rem/1 var(--label);
  letter-spacing: 0.02em;
  ${phone} {
    gap: 0 14px;
    padding: 0 16px;
  }
  @media print {
    display: none;
  }
  nav {
    display: flex;
    gap: 12px;
  }
  nav a,
  nav span {
    min-height: 48px;
    min-width: 44px;
    display: inline-flex;
    align-items: center;
    justify-content: center;
    text-decoration: none;
    border-bottom: 3px solid transparent;
    border-top: 3px solid transparent;
  }
  nav a.active {
    border-bottom-color: var(--ink);
    font-weight: 600;
  }
`
const Name = styled.b`
  font: 600 1.5625rem/1 var(--label);
`
const Subject = styled.span`
  flex: 1 1 180px;
  min-width: 0;
  text-align: right;
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
  color: var(--slate);
  font-size: 1.0625rem;
  a {
    display: inline-flex;
    align-items: center;
    min-height: 44px;
  }
  ${phone} {
    flex: 1 0 60%;
    text-align: left;
    white-space: normal;
    em {
      display: block;
      overflow: hidden;
      text-overflow: ellipsis;
      white-space: nowrap;
    }
  }
`
const Switch = styled(Button)`
  all: unset;
  cursor: pointer;
  min-height: 44px;
  min-width: 44px;
  display: inline-grid;
  place-items: center;
  color: var(--slate);
  &[data-focus-visible] {
    outline: 3px solid var(--predicted);
  }
  b {
    color: var(--ink);
    font-weight: 600;
  }
`
const Unsent = styled.p`
  padding: 8px 24px;
  border-bottom: 1px solid var(--rule);
  background: var(--wash);
  b {
    color: var(--recheck);
  }
`

const SUBJECT = 'shell-subject'

/** What the open page is about, set into the head of the sheet. */
export function SubjectLine({ children }: { children: ReactNode }) {
  const [place, setPlace] = useState<Element | null>(null)
  useEffect(() => setPlace(document.getElementById(SUBJECT)), [])
  return place && createPortal(children, place)
}

/** The head of the sheet and the room below it. */
export function Shell() {
  const sheet = useSheet()
  const { length } = useSettings()
  const { pathname } = useLocation()
  const door = useDoor()
  const onStand = pathname.startsWith('/stand/')
  useEffect(() => {
    document.documentElement.dataset.sheet = sheet
    const say = (name: string, content: string) =>
      document.querySelector(`meta[name=${name}]`)?.setAttribute('content', content)
    say('theme-color', sheet === 'night' ? '#131B23' : '#F3F0E7')
    say('color-scheme', sheet === 'night' ? 'dark' : 'light')
  }, [sheet])
  return (
    <Page>
      <GlobalStyle />
      <SkipLink />
      <Head>
        <Name>overhaul</Name>
        <nav aria-label="Rooms">
          <NavLink to="/" end>
            Rack
          </NavLink>
          {onStand && (
            <NavLink to={pathname} aria-current="page">
              Stand
            </NavLink>
          )}
          <NavLink to="/drawer">Drawer</NavLink>
          <NavLink to="/handbook">Handbook</NavLink>
          {door.data?.shared && door.data.may === 'host' && <NavLink to="/share">Share</NavLink>}
        </nav>
        <Subject id={SUBJECT} />
        <Switch
          aria-label={`lengths in ${length === 'mm' ? 'millimetres' : 'inches'}, switch`}
          onPress={() => changeSettings({ length: length === 'mm' ? 'in' : 'mm' })}
        >
          <span>
            {length === 'mm' ? <b>mm</b> : 'mm'} | {length === 'in' ? <b>in</b> : 'in'}
          </span>
        </Switch>
        <Switch
          aria-label={sheet === 'night' ? 'day sheet' : 'night sheet'}
          onPress={() => changeSettings({ sheet: sheet === 'night' ? 'day' : 'night' })}
        >
          {sheet === 'night' ? 'day' : 'night'}
        </Switch>
      </Head>
      <OutboxLine />
      {door.data?.may === 'read' && (
        <Unsent role="status">
          <b>This screen only reads.</b> It was let in by the code for reading; nothing written here is kept.
        </Unsent>
      )}
      {door.data?.may === 'none' ? (
        <Suspense fallback={null}>
          <DoorPage />
        </Suspense>
      ) : (
        <Suspense fallback={null}>
          <Outlet />
        </Suspense>
      )}
    </Page>
  )
}

/** Says so when the server does not answer or does not write, and what of this screen waits for it. */
function OutboxLine() {
  const outbox = useOutbox()
  const changes = useChanges()
  const server = useServer()
  const waits = [...outbox.waiting, ...changes.waiting].filter((each) => !each.refused).length
  if (!server.away && !server.trouble && !outbox.away && !changes.away) return null
  return (
    <Unsent role="status">
      <b>{server.trouble ?? 'The workshop’s server does not answer.'}</b>{' '}
      {waits === 0
        ? 'What is written here is kept, and sent when it is back.'
        : `${waits} ${waits === 1 ? 'entry waits' : 'entries wait'} on this screen and will be sent when it is back; a reload keeps them.`}
    </Unsent>
  )
}
