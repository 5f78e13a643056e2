import type { KeyboardEvent, Ref } from 'react'
import { TextField as AriaTextField, FieldError, Input, Label } from 'react-aria-components'
import styled from 'styled-components'
import { fieldBox, fieldFault, fieldName } from './field.ts'

const Box = styled(AriaTextField)<{ $wide?: boolean }>`
  display: grid;
  gap: 6px;
  align-content: start;
  min-width: 0;
  ${({ $wide }) => $wide && 'flex: 1 1 200px;'}
  label {
    ${fieldName}
  }
  input {
    ${fieldBox}
    width: 100%;
  }
  [slot='errorMessage'] {
    ${fieldFault}
  }
`
const Big = styled(Box)`
  input {
    height: 50px;
    font: 600 1.625rem/1 var(--label);
    font-variant-numeric: tabular-nums;
  }
`

export interface TextFieldProps {
  readonly label: string
  /** The label is for those who do not see what stands beside the field. */
  readonly unseen?: boolean
  readonly value: string
  readonly onChange: (text: string) => void
  /** What is wrong with it, and what would be accepted. */
  readonly error?: string | undefined
  readonly placeholder?: string
  readonly decimal?: boolean
  readonly whole?: boolean
  /** A measured number, read at arm's length. */
  readonly big?: boolean
  /** Width in pixels; all the room there is if not given. */
  readonly width?: number
  readonly maxLength?: number
  readonly autoFocus?: boolean
  readonly name?: string
  readonly inputRef?: Ref<HTMLInputElement>
  readonly onFocus?: () => void
  readonly onBlur?: () => void
  readonly onKeyDown?: (event: KeyboardEvent<HTMLInputElement>) => void
  /** Finds it again for the hand: `m` goes to the first of them. */
  readonly measure?: number | undefined
  /** The reading it is a draft of. */
  readonly draft?: string
}

/** One line of text, or a number as the hand writes it (“1 1/2”, “5/16in”): what it means is read by the core. */
export function TextField({
  label,
  unseen,
  value,
  onChange,
  error,
  placeholder,
  decimal,
  whole,
  big,
  width,
  maxLength,
  autoFocus,
  name,
  inputRef,
  onFocus,
  onBlur,
  onKeyDown,
  measure,
  draft,
}: TextFieldProps) {
  const Shell = big ? Big : Box
  return (
    <Shell
      value={value}
      onChange={onChange}
      isInvalid={error !== undefined}
      validationBehavior="aria"
      {...(unseen && { 'aria-label': label })}
      {...(width === undefined ? { $wide: true } : { style: { width } })}
      {...(maxLength !== undefined && { maxLength })}
      {...(autoFocus && { autoFocus })}
      {...(name !== undefined && { name })}
      {...(onFocus && { onFocus })}
      {...(onBlur && { onBlur })}
    >
      {!unseen && <Label>{label}</Label>}
      <Input
        autoComplete="off"
        inputMode={decimal ? 'decimal' : whole ? 'numeric' : 'text'}
        {...(placeholder !== undefined && { placeholder })}
        {...(inputRef && { ref: inputRef })}
        {...(onKeyDown && { onKeyDown })}
        {...(measure !== undefined && { 'data-measure': measure })}
        {...(draft !== undefined && { 'data-draft-of': draft })}
      />
      <FieldError>{error}</FieldError>
    </Shell>
  )
}
