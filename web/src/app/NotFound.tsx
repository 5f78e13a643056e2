import { useRouteError } from 'react-router'

/** A page that is not there, or one that broke: what happened, and the way back. */
export function NotFound() {
  const error = useRouteError()
  return (
    <main style={{ padding: '40px 24px' }}>
      <title>Not found · Overhaul</title>
      <h1>{error instanceof Error ? 'This page broke' : 'There is no such page'}</h1>
      <p>
        {error instanceof Error
          ? `${error.message}. What was written is kept.`
          : 'The address does not lead anywhere in the workshop.'}
      </p>
      <a href="/">To the rack</a>
    </main>
  )
}
