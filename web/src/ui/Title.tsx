import { Heard } from './words.tsx'

/** Where one is: the name of the browser's tab, and the page's one heading for those who hear it. */
export const Title = ({ children }: { children: string }) => (
  <>
    <title>{`${children} · Overhaul`}</title>
    <Heard as="h1">{children}</Heard>
  </>
)
