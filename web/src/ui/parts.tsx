import { SOURCE_WORDS, type Source } from '@overhaul/core/calculation/source'
import { Search } from 'lucide-react'
import type { ReactNode } from 'react'
import { Button as AriaButton, type ButtonProps } from 'react-aria-components'
import styled, { css } from 'styled-components'
import { phone } from '../app/theme.ts'

const Plain = styled(AriaButton)<{ $go?: boolean; $quiet?: boolean }>`
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
  font: 600 18px/1 var(--label);
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
  font: 500 16px/1 var(--label);
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
    <Plain {...rest} {...(go && { $go: true })} {...(quiet && { $quiet: true })}>
      {children}
      {hint && <Key>{hint}</Key>}
    </Plain>
  )
}

export const Label = styled.h2`
  font: 600 15px/1.2 var(--label);
  letter-spacing: 0.06em;
  text-transform: uppercase;
`

export const Field = styled.input`
  height: 46px;
  padding: 0 10px;
  border: 1.5px solid var(--control);
  border-radius: 0;
  background: var(--sheet);
  min-width: 0;
`

export const Choose = styled.select`
  min-height: 46px;
  max-width: 100%;
  padding: 0 8px;
  border: 1.5px solid var(--control);
  border-radius: 0;
  background: var(--sheet);
`

const SearchBox = styled.label`
  display: flex;
  align-items: center;
  gap: 8px;
  border: 1.5px solid var(--control);
  padding: 0 12px;
  flex: 0 1 340px;
  input {
    border: 0;
    background: none;
    height: 44px;
    flex: 1;
    min-width: 0;
    outline: none;
  }
  &:focus-within {
    outline: 3px solid var(--predicted);
  }
`

interface SearchFieldProps {
  readonly label: string
  readonly placeholder: string
  readonly value: string
  readonly onChange: (text: string) => void
}

/** Searches as it is typed into. */
export const SearchField = ({ label, placeholder, value, onChange }: SearchFieldProps) => (
  <SearchBox>
    <Search size={20} aria-hidden="true" />
    <input
      type="search"
      aria-label={label}
      placeholder={placeholder}
      value={value}
      onChange={(event) => onChange(event.target.value)}
    />
  </SearchBox>
)

/** A link that looks like what it is pressed for. */
export const linkPress = css`
  min-height: 46px;
  min-width: 48px;
  padding: 0 14px;
  display: inline-grid;
  place-items: center;
  border: 1.5px solid var(--control);
  font: 600 18px/1 var(--label);
  text-decoration: none;
`

/** A page that scrolls under the head of the sheet. */
export const Page = styled.main`
  padding: 18px 24px 60px;
  display: grid;
  gap: 16px;
  align-content: start;
  flex: 1;
  min-height: 0;
  overflow-y: auto;
  ${phone} {
    padding: 12px 16px 60px;
  }
`

/** A form or report opened on a page, ruled off from what follows. */
export const panel = css`
  border-top: 3px solid var(--ink);
  border-bottom: 1px solid var(--rule);
  padding: 12px 0 16px;
  display: grid;
  gap: 12px;
`

/** The line that opens a fold. */
export const foldSummary = css`
  display: flex;
  align-items: center;
  cursor: pointer;
  font: 600 18px/1 var(--label);
  text-decoration: underline;
  text-underline-offset: 3px;
`

/** A sheet laid over the right-hand column: working, keys. */
export const SideSheet = styled.aside`
  position: absolute;
  inset: 0;
  z-index: 2;
  background: var(--sheet);
  border-left: 3px double var(--rule);
  overflow-y: auto;
  padding: 14px 24px 24px;
  display: grid;
  gap: 14px;
  align-content: start;
`

/** Rows under hairline rules. */
export const Table = styled.table`
  border-collapse: collapse;
  width: 100%;
  th,
  td {
    text-align: left;
    vertical-align: top;
    padding: 6px 14px 6px 0;
    border-bottom: 1px solid var(--rule);
    font-weight: 400;
  }
  thead th {
    font: 600 16px/1.2 var(--label);
  }
  tr {
    break-inside: avoid;
  }
`

/** A refusal in one sentence, said aloud to those who do not see it. */
export const Complaint = styled.p.attrs({ role: 'alert' })`
  color: var(--out);
  font-weight: 600;
  border-left: 3px solid var(--out);
  padding-left: 10px;
`

export const Cautions = styled.ul`
  display: grid;
  gap: 4px;
  border-left: 3px solid var(--recheck);
  padding-left: 10px;
  font-size: 16px;
`

export const Slate = styled.span`
  color: var(--slate);
`

export function SourceNote({ source }: { source: Source }) {
  return (
    <Slate>
      {SOURCE_WORDS[source.kind]}: {source.title}
    </Slate>
  )
}

export const Row = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: end;
  margin-top: 4px;
`
export const Check = styled.label`
  display: flex;
  gap: 8px;
  align-items: center;
  min-height: 44px;
  input {
    flex: none;
    width: 22px;
    height: 22px;
    accent-color: var(--ink);
  }
`
