import { Component, type ReactNode } from 'react'

function Page({ title, children }: { title: string; children: ReactNode }) {
  return (
    <main style={{ padding: '40px 24px' }}>
      <title>Not found · Overhaul</title>
      <h1>{title}</h1>
      <p>{children}</p>
      <a href="/">To the rack</a>
    </main>
  )
}

/** A page that is not there, and the way back. */
export const NotFound = () => (
  <Page title="There is no such page">The address does not lead anywhere in the workshop.</Page>
)

/** What happened where a page breaks, and the way back: only a class can catch it. */
export class Broken extends Component<{ children: ReactNode }, { readonly error?: unknown }> {
  override state: { readonly error?: unknown } = {}

  static getDerivedStateFromError(error: unknown) {
    return { error }
  }

  override render() {
    const { error } = this.state
    if (error === undefined) return this.props.children
    return (
      <Page title="This page broke">
        {`${error instanceof Error ? error.message : String(error)}. What was written is kept.`}
      </Page>
    )
  }
}
