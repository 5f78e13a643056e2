import styled from 'styled-components'

const Unseen = styled.h1`
  position: absolute;
  width: 1px;
  height: 1px;
  overflow: hidden;
  clip-path: inset(50%);
  white-space: nowrap;
`

/** Where one is: the name of the browser's tab, and the page's one heading for those who hear it. */
export const Title = ({ children }: { children: string }) => (
  <>
    <title>{`${children} · Overhaul`}</title>
    <Unseen>{children}</Unseen>
  </>
)
