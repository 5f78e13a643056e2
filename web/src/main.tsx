import './app/nonce.ts'
import '@fontsource-variable/atkinson-hyperlegible-next/wght.css'
import '@fontsource/barlow-condensed/latin-500.css'
import '@fontsource/barlow-condensed/latin-600.css'
import { QueryClientProvider } from '@tanstack/react-query'
import { StrictMode, Suspense } from 'react'
import { I18nProvider } from 'react-aria-components'
import { createRoot } from 'react-dom/client'
import { BrowserRouter, Route, Routes } from 'react-router'
import { lazily } from './app/lazily.ts'
import { Broken, NotFound } from './app/NotFound.tsx'
import { Shell } from './app/Shell.tsx'
import { startChanges } from './data/changes.ts'
import { DRAWER, refreshDrawer } from './data/drawer.ts'
import { startOutbox } from './data/outbox.ts'
import { catchUp, fetchRooms, queryClient, readAnew, refreshBicycle } from './data/queries.ts'

/** What passes is seldom said: it comes after the room. */
const Notices = lazily(async () => (await import('./ui/Notices.tsx')).Notices)

/** A room, and what it fetches only when it is asked for. */
type Room = () => Promise<{ default: () => React.ReactNode; fetchParts?: () => Promise<unknown> }>

const ROOMS: Readonly<Record<string, Room>> = {
  '/': () => import('./rack/RackPage.tsx'),
  '/bicycles/new': () => import('./hardware/NewBicyclePage.tsx'),
  '/bicycles/:bicycleId': () => import('./hardware/HardwarePage.tsx'),
  '/stand/:jobId': () => import('./stand/StandPage.tsx'),
  '/jobs/:jobId/sheet': () => import('./print/SheetPage.tsx'),
  '/jobs/:jobId/handover': () => import('./print/HandoverPage.tsx'),
  '/b/:code': () => import('./hardware/CodePage.tsx'),
  '/drawer': () => import('./drawer/DrawerPage.tsx'),
  '/workshop': () => import('./workshop/WorkshopPage.tsx'),
  '/share': () => import('./door/SharePage.tsx'),
  '/handbook/:page?/:id?': () => import('./handbook/HandbookPage.tsx'),
}

const ROUTES = Object.entries(ROOMS).map(([path, load]) => {
  const Page = lazily(async () => (await load()).default)
  return <Route key={path} path={path} element={<Page />} />
})

const QUIET_MS = 3000

/** Once this screen is quiet, the rooms not opened yet are fetched: they open while the server is away, too. */
async function fetchAhead(): Promise<void> {
  for (const load of Object.values(ROOMS)) await (await load()).fetchParts?.()
  await fetchRooms()
}
setTimeout(() => fetchAhead().catch((error) => console.error(error)), QUIET_MS)

startOutbox(catchUp, readAnew).catch((error) => console.error(error))
startChanges((about) => (about === DRAWER ? refreshDrawer() : refreshBicycle(about))).catch((error) =>
  console.error(error),
)

const root = document.getElementById('root')
if (root) {
  createRoot(root).render(
    <StrictMode>
      <I18nProvider locale="en-US">
        <QueryClientProvider client={queryClient}>
          <BrowserRouter>
            <Broken>
              <Routes>
                <Route element={<Shell />}>
                  {ROUTES}
                  <Route path="*" element={<NotFound />} />
                </Route>
              </Routes>
            </Broken>
          </BrowserRouter>
          <Suspense fallback={null}>
            <Notices />
          </Suspense>
        </QueryClientProvider>
      </I18nProvider>
    </StrictMode>,
  )
}
