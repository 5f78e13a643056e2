import './app/nonce.ts'
import '@fontsource-variable/atkinson-hyperlegible-next/wght.css'
import '@fontsource/barlow-condensed/latin-500.css'
import '@fontsource/barlow-condensed/latin-600.css'
import { QueryClientProvider } from '@tanstack/react-query'
import { StrictMode } from 'react'
import { createRoot } from 'react-dom/client'
import { createBrowserRouter, RouterProvider } from 'react-router'
import { NotFound } from './app/NotFound.tsx'
import { Shell } from './app/Shell.tsx'
import { startChanges } from './data/changes.ts'
import { DRAWER, refreshDrawer } from './data/drawer.ts'
import { startOutbox } from './data/outbox.ts'
import { catchUp, queryClient, readAnew, refreshBicycle } from './data/queries.ts'

const page = (load: () => Promise<{ default: () => React.ReactNode }>) => async () => ({
  Component: (await load()).default,
})

const router = createBrowserRouter([
  {
    element: <Shell />,
    errorElement: <NotFound />,
    children: [
      { path: '/', lazy: page(() => import('./rack/RackPage.tsx')) },
      { path: '/bicycles/new', lazy: page(() => import('./hardware/NewBicyclePage.tsx')) },
      { path: '/bicycles/:bicycleId', lazy: page(() => import('./hardware/HardwarePage.tsx')) },
      { path: '/stand/:jobId', lazy: page(() => import('./stand/StandPage.tsx')) },
      { path: '/jobs/:jobId/sheet', lazy: page(() => import('./print/SheetPage.tsx')) },
      { path: '/drawer', lazy: page(() => import('./drawer/DrawerPage.tsx')) },
      { path: '/share', lazy: page(() => import('./door/SharePage.tsx')) },
      { path: '/handbook', lazy: page(() => import('./handbook/HandbookPage.tsx')) },
      { path: '*', element: <NotFound /> },
    ],
  },
])

startOutbox(catchUp, readAnew).catch((error) => console.error(error))
startChanges((about) => (about === DRAWER ? refreshDrawer() : refreshBicycle(about))).catch((error) =>
  console.error(error),
)

const root = document.getElementById('root')
if (root) {
  createRoot(root).render(
    <StrictMode>
      <QueryClientProvider client={queryClient}>
        <RouterProvider router={router} />
      </QueryClientProvider>
    </StrictMode>,
  )
}
