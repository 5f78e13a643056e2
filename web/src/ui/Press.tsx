import type { ReactNode } from 'react'
import { Button, type ButtonProps } from 'react-aria-components'
import styled from 'styled-components'

const Plain = styled(Button)<{ $go?: boolean; $quiet?: boolean }>`
  min-height: 46px;
  min-width: 44px;
  padding: 0 18px;
  display: inline-flex;
  align-items: center;
  justify-content: center;
  gap: 10px;
  border: 1.5px solid ${({ $quiet }) => ($quiet ? 'transparent' : 'var(--control)')};
  background: ${({ $go }) => ($go ? 'var(--ink)' : 'none')};
  color: ${({ $go }) => ($go ? 'var(--sheet)' : 'var(--ink)')};
  ${({ $go }) => $go && 'border-color: var(--ink);'}
  font: 600 1.125rem/1 var(--label);
  letter-spacing: 0.02em;
  border-radius: 0;
  cursor: pointer;
  white-space: nowrap;
  text-decoration: ${({ $quiet }) => ($quiet ? 'underline' : 'none')};
  text-underline-offset: 3px;
  &[data-pressed] {
    background: var(--wash);
    color: var(--ink);
  }
  &[data-disabled] {
    background: none;
    color: var(--slate);
    border-color: var(--control);
    border-style: dashed;
    cursor: default;
  }
`

export const Key = styled.kbd`
  font: 500 1rem/1 var(--label);
  border: 1px solid;
  padding: 2px 6px;
  opacity: 0.75;
  @media (pointer: coarse) {
    display: none;
  }
`

interface PressProps extends Omit<ButtonProps, 'children' | 'className' | 'style'> {
  readonly children: ReactNode
  /** The key that does the same, shown on the button. */
  readonly hint?: string
  readonly go?: boolean
  readonly quiet?: boolean
}

/** A button: target at least 44 px, its key shown on it. */
export function Press({ children, hint, go, quiet, ...rest }: PressProps) {
  return (
    <Plain
      {...rest}
      {...(go && { $go: true })}
      {...(quiet && { $quiet: true })}
      {...(hint && { 'aria-keyshortcuts': hint })}
    >
      {children}
      {hint && <Key aria-hidden="true">{hint}</Key>}
    </Plain>
  )
}
