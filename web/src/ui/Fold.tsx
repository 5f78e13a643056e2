import { ChevronRight } from 'lucide-react'
import type { ReactNode } from 'react'
import { Button, Disclosure, DisclosurePanel, Heading } from 'react-aria-components'
import styled from 'styled-components'

const Box = styled(Disclosure)`
  h3 {
    font: inherit;
  }
  > h3 button {
    all: unset;
    box-sizing: border-box;
    width: 100%;
    min-height: 46px;
    display: flex;
    align-items: center;
    gap: 8px;
    cursor: pointer;
    font: 600 1.125rem/1.15 var(--label);
    text-decoration: underline;
    text-underline-offset: 3px;
  }
  > h3 button[data-focus-visible] {
    outline: 3px solid var(--predicted);
    outline-offset: -3px;
  }
  > h3 svg {
    flex: none;
  }
  &[data-expanded] > h3 svg {
    transform: rotate(90deg);
  }
`

interface Props {
  readonly title: string
  readonly children: ReactNode
  /** Whether it is open, where somebody else keeps it. */
  readonly open?: boolean
  readonly onOpen?: (open: boolean) => void
}

/** Something folded away until it is asked for. */
export function Fold({ title, children, open, onOpen }: Props) {
  return (
    <Box {...(open !== undefined && { isExpanded: open })} {...(onOpen && { onExpandedChange: onOpen })}>
      <Heading level={3}>
        <Button slot="trigger">
          <ChevronRight size={18} aria-hidden="true" />
          {title}
        </Button>
      </Heading>
      <DisclosurePanel>{children}</DisclosurePanel>
    </Box>
  )
}
