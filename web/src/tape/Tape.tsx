import type { LengthUnit } from '@overhaul/core/quantity/quantity'
import type { Job } from '@overhaul/core/run-sheet/job'
import { describe } from '@overhaul/core/stand/describe'
import type { EntryBody } from '@overhaul/core/stand/entries'
import { complete, readTape } from '@overhaul/core/tape/tape'
import { type KeyboardEvent, type RefObject, useState } from 'react'
import styled from 'styled-components'
import { phone } from '../app/theme.ts'
import { useKept } from '../data/use-kept.ts'
import { Label } from '../ui/parts.tsx'

const Line = styled.form`
  display: grid;
  grid-template-columns: auto minmax(180px, 1fr) auto;
  align-items: center;
  gap: 14px;
  min-height: 52px;
  border-bottom: 1px solid var(--rule);
  position: relative;
  ${phone} {
    grid-template-columns: auto 1fr;
  }
`
const Input = styled.input`
  border: 0;
  background: none;
  height: 46px;
  min-width: 0;
  padding: 0 8px;
  width: 100%;
  font: 500 24px/1 var(--label);
  letter-spacing: 0.02em;
  outline-offset: -3px !important;
`
const Echo = styled.p<{ $wrong: boolean }>`
  color: ${({ $wrong }) => ($wrong ? 'var(--out)' : 'var(--slate)')};
  font-weight: ${({ $wrong }) => ($wrong ? 600 : 400)};
  max-width: 640px;
  text-align: right;
  ${phone} {
    grid-column: 1 / -1;
    text-align: left;
    padding-bottom: 6px;
  }
`
const Words = styled.div`
  position: absolute;
  bottom: 100%;
  left: 60px;
  z-index: 3;
  background: var(--sheet);
  border: 1.5px solid var(--control);
  min-width: 320px;
  max-height: 46vh;
  overflow-y: auto;
  div {
    display: grid;
    grid-template-columns: 76px 1fr;
    gap: 10px;
    align-items: center;
    min-height: 44px;
    padding: 0 12px;
    cursor: pointer;
  }
  div[aria-selected='true'] {
    background: var(--wash);
  }
  b {
    font: 600 19px/1 var(--label);
  }
`

interface Props {
  readonly jobId: string
  readonly job: Job
  readonly length: LengthUnit
  readonly input: RefObject<HTMLInputElement | null>
  readonly write: (bodies: readonly EntryBody[]) => boolean
  readonly onDone: () => void
}

/** What a line looks like at this brake: the readings of its dial-in. */
const exampleOf = ({ kit, model }: Job): string =>
  model.needed
    .flatMap((id) => {
      const spec = kit.reading(id)
      return spec ? [`${spec.shorthand} ${spec.sd >= 1 ? '22' : '1.0'}`] : []
    })
    .join('  ')

/** One line that takes the bench's shorthand, says what it understood, and writes it to the log on Enter. */
export function Tape({ jobId, job, length, input, write, onDone }: Props) {
  const [text, change] = useKept(`overhaul.tape.${jobId}`, '')
  const setText = (next: string) => change(() => next)
  const [chosen, setChosen] = useState(0)
  const [open, setOpen] = useState(false)
  const at = { kit: job.kit, model: job.model, length }
  const read = readTape(text, at)
  const words = open ? complete(text, at).slice(0, 8) : []
  const exact = words.length === 1 && text.endsWith(words[0]?.word ?? ' ')
  const offered = exact ? [] : words
  const unfinished = read.error?.code === 'unknown-word' && words.length > 0
  const complaint = unfinished ? undefined : read.error?.message
  const echo = read.entries.map((entry) => describe(entry, at)).join(' · ')

  const take = (word: string) => {
    setText(`${text.replace(/\S*$/, '')}${word} `)
    setChosen(0)
    input.current?.focus()
  }
  const submit = () => {
    if (text.trim() === '' || read.error || !write(read.entries)) return
    setText('')
    setOpen(false)
    onDone()
  }
  const onKeyDown = (event: KeyboardEvent) => {
    if (event.key === 'Escape') {
      if (offered.length > 0) setOpen(false)
      else {
        setText('')
        onDone()
      }
    } else if (offered.length > 0 && event.key === 'Tab') {
      event.preventDefault()
      take((offered[chosen] ?? offered[0])?.word ?? '')
    } else if (offered.length > 0 && (event.key === 'ArrowUp' || event.key === 'ArrowDown')) {
      event.preventDefault()
      setChosen((chosen + (event.key === 'ArrowDown' ? 1 : offered.length - 1)) % offered.length)
    }
  }

  return (
    <Line
      onSubmit={(event) => {
        event.preventDefault()
        submit()
      }}
    >
      <Label as="label" htmlFor="tape">
        Tape
      </Label>
      <Input
        id="tape"
        ref={input}
        value={text}
        autoComplete="off"
        autoCapitalize="off"
        spellCheck={false}
        role="combobox"
        aria-expanded={offered.length > 0}
        aria-controls="tape-words"
        aria-autocomplete="list"
        aria-describedby="tape-echo"
        disabled={job.state.ended !== undefined}
        placeholder={job.state.released ? 'released' : job.state.closed ? 'closed' : exampleOf(job)}
        onChange={(event) => {
          setText(event.target.value)
          setOpen(true)
          setChosen(0)
        }}
        onBlur={() => setOpen(false)}
        onKeyDown={onKeyDown}
      />
      <Echo id="tape-echo" $wrong={complaint !== undefined} aria-live="polite">
        {[echo, complaint].filter(Boolean).join(' · ')}
      </Echo>
      {offered.length > 0 && (
        <Words id="tape-words" role="listbox" aria-label="Words of the tape">
          {offered.map((each, index) => (
            // biome-ignore lint/a11y/useFocusableInteractive: the input keeps the focus and steers the list
            // biome-ignore lint/a11y/useKeyWithClickEvents: the input keeps the focus and steers the list
            <div
              key={each.word}
              role="option"
              aria-selected={index === chosen}
              onMouseDown={(event) => event.preventDefault()}
              onClick={() => take(each.word)}
            >
              <b>{each.word}</b>
              <span>
                {each.means} <span style={{ color: 'var(--slate)' }}>{each.form}</span>
              </span>
            </div>
          ))}
        </Words>
      )}
    </Line>
  )
}
