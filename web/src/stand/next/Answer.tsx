import type { Picture } from '@overhaul/core/brake/drawings'
import styled from 'styled-components'
import { Pictured } from '../../drawing/Pictured.tsx'

const Pointed = styled.span`
  display: grid;
  justify-items: center;
  gap: 4px;
  padding: 4px 0;
`

/** An answer under what it looks like, where it can be pointed at. */
export const Answer = ({ picture, children }: { picture: Picture | undefined; children: string }) =>
  picture ? (
    <Pointed>
      <Pictured picture={picture} />
      {children}
    </Pointed>
  ) : (
    children
  )
