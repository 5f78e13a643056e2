import type { LengthUnit } from '@overhaul/core/quantity/quantity'
import type { Job } from '@overhaul/core/run-sheet/job'
import type { Card } from '@overhaul/core/stand/card'
import { describe } from '@overhaul/core/stand/describe'
import type { EntryBody } from '@overhaul/core/stand/entries'
import { exampleLine } from '@overhaul/core/tape/example'
import { readTape } from '@overhaul/core/tape/tape'
import { complete, type Word } from '@overhaul/core/tape/words'
import { type KeyboardEvent, type Ref, useDeferredValue, useMemo, useRef, useState } from 'react'
import { clearAnnouncer } from 'react-aria/private/live-announcer/LiveAnnouncer'
import { ComboBox, Input, Label, ListBox, ListBoxItem, Popover } from 'react-aria-components'
import styled from 'styled-components'
import { phone } from '../app/theme.ts'
import type { Refusal } from '../data/use-job.ts'
import { useKept } from '../data/use-kept.ts'
import { listBox } from '../ui/field.ts'
import { notice } from '../ui/notices.ts'
import { Press } from '../ui/Press.tsx'

const Line = styled.form`
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto auto;
  align-items: center;
  gap: 14px;
  min-height: 52px;
  border-bottom: 1px solid var(--rule);
  ${phone} {
    grid-template-columns: minmax(0, 1fr) auto;
    gap: 0 8px;
  }
`
const Box = styled(ComboBox<Word>)`
  display: grid;
  grid-template-columns: auto minmax(0, 1fr);
  align-items: center;
  gap: 14px;
  label {
    font: 600 0.9375rem/1.2 var(--label);
    letter-spacing: 0.06em;
    text-transform: uppercase;
  }
  input {
    border: 0;
    background: none;
    height: 46px;
    min-width: 0;
    padding: 0 8px;
    width: 100%;
    font: 500 1.5rem/1 var(--label);
    letter-spacing: 0.02em;
    outline-offset: -3px;
  }
`
const Echo = styled.p<{ $wrong: boolean }>`
  color: ${({ $wrong }) => ($wrong ? 'var(--out)' : 'var(--slate)')};
  font-weight: ${({ $wrong }) => ($wrong ? 600 : 400)};
  max-width: min(640px, 48vw);
  text-align: right;
  ${phone} {
    grid-column: 1 / -1;
    grid-row: 2;
    max-width: none;
    text-align: left;
    padding-bottom: 4px;
    &:empty {
      display: none;
    }
  }
`
const Words = styled(Popover)`
  ${listBox}
  min-width: 320px;
  max-width: min(560px, calc(100vw - 24px));
`
const Item = styled(ListBoxItem)`
  display: grid;
  grid-template-columns: 76px 1fr;
  gap: 10px;
  align-items: center;
  min-height: 44px;
  padding: 4px 12px;
  cursor: pointer;
  &[data-focused] {
    background: var(--wash);
  }
  b {
    font: 600 1.1875rem/1 var(--label);
  }
  small {
    font-size: 1rem;
    color: var(--slate);
  }
`

interface Props {
  readonly jobId: string
  readonly job: Job
  readonly length: LengthUnit
  /** What is done in the posture of the act in hand, and how long it has been on show, seconds. */
  readonly card: Card | undefined
  readonly shownS: () => number
  readonly input: Ref<HTMLInputElement>
  /** What the log would answer to these. */
  readonly check: (bodies: readonly EntryBody[]) => Refusal | undefined
  readonly write: (bodies: readonly EntryBody[]) => boolean
  readonly onDone: () => void
  /** The line is written anew: what was said against it no longer holds. */
  readonly onEdit: () => void
  /** Shows the words of this brake. */
  readonly onWords: () => void
}

const MOST_WORDS = 8
const NOTHING_ASKED: readonly string[] = []
const MOST_LINES = 40

/** A window that ends in this share of all that is accepted has no upper end worth the name. */
const OPEN_AT = 0.6

/** What a line looks like for what is asked for now. */
function exampleOf({ kit, model, windows, dimensions, next }: Job, length: LengthUnit): string {
  const { shorthand } = next.step
  const plausible = (id: string) => {
    const dimension = kit.reading(id)?.dimension
    const window = windows.of[id]
    if (window && window.low > 0 && window.high >= OPEN_AT * (kit.reading(id)?.max ?? 0)) return 1.5 * window.low
    return window?.target ?? (dimension === undefined ? undefined : dimensions[dimension])
  }
  const asked =
    next.kind === 'measure' || next.kind === 'mend'
      ? { readings: next.readings }
      : next.kind === 'turn'
        ? { moves: next.turn.moves }
        : shorthand === undefined
          ? {}
          : { step: shorthand }
  const line = exampleLine({ kit, model, length }, asked, plausible)
  return line || (next.kind === 'sign' ? 'release 7' : 'note …')
}

/** One line that takes the bench's shorthand, says what it understood, and writes it to the log on Enter. */
export function Tape({ jobId, job, length, card, shownS, input, check, write, onDone, onEdit, onWords }: Props) {
  const [text, change] = useKept(`overhaul.tape.${jobId}`, '')
  const [lines, setLines] = useKept<readonly string[]>(`overhaul.tape-lines.${jobId}`, [])
  /** Why a line that is well understood is not written yet. */
  const [early, setEarly] = useState<string>()
  /** How many lines back the hand has gone. */
  const [back, setBack] = useState(0)
  const open = useRef(false)
  const setText = (next: string) => {
    if (next !== text) {
      onEdit()
      setEarly(undefined)
    }
    change(() => next)
  }
  const { next } = job
  const inAct = next.kind === 'measure' || next.kind === 'mend' ? next.readings : NOTHING_ASKED
  const asked = useMemo(() => (card ? card.rows.flatMap(({ readings }) => readings) : inAct), [card, inAct])
  const at = useMemo(
    () => ({ kit: job.kit, model: job.model, length, asked, ...(card && { card: { card } }) }),
    [job, length, asked, card],
  )
  const read = readTape(text, at)
  const words = complete(text, at).slice(0, MOST_WORDS)
  const written = useDeferredValue(text)
  const refused = useMemo(() => {
    const { entries, error } = readTape(written, at)
    return entries.length > 0 && !error ? check(entries)?.error.message : undefined
  }, [written, check, at])
  const unfinished = read.error?.code === 'unknown-word' && words.length > 0
  const complaint = unfinished ? undefined : (early ?? read.error?.message ?? (written === text ? refused : undefined))
  const echo = read.entries.map((entry) => describe(entry, at)).join(' · ')
  const aside = read.asides.length > 0 ? `(${read.asides.join('; ')})` : ''

  /** Puts a word in the place of the one begun. */
  const take = (word: string) => setText(`${text.replace(/\S*$/, '')}${word} `)
  const submit = () => {
    if (text.trim() === '' || read.error) return
    const now = readTape(text, { ...at, ...(card && { card: { card, shownS: shownS() } }) })
    setEarly(now.error?.message)
    if (now.error || !write(now.entries)) return
    setLines((now) => [...now.filter((each) => each !== text), text].slice(-MOST_LINES))
    setText('')
    setBack(0)
    // What it counted among its words is not heard when it no longer stands there.
    clearAnnouncer('polite')
  }
  const goBack = (by: 1 | -1): boolean => {
    const to = back + by
    const line = to === 0 ? '' : lines.at(-to)
    if (to < 0 || line === undefined) return false
    setBack(to)
    setText(line)
    return true
  }
  /** What the line itself does comes before what its list of words does. */
  const onKeyDownCapture = (event: KeyboardEvent) => {
    const taken = () => {
      event.preventDefault()
      event.stopPropagation()
    }
    if (event.key === 'Enter' && !read.error) {
      taken()
      submit()
    } else if (event.key === '?' && /(^|\s)$/.test(text)) {
      taken()
      onWords()
    } else if (event.key === 'Tab' && !event.shiftKey && open.current && words[0]) {
      taken()
      take(words[0].word)
    } else if (event.key === 'ArrowUp' && !open.current && goBack(1)) taken()
    else if (event.key === 'ArrowDown' && !open.current && back > 0 && goBack(-1)) taken()
    else if (event.key === 'Escape' && !open.current) {
      taken()
      if (text === '') return onDone()
      setText('')
      notice(`Tape “${text}”: let go`, { title: 'Bring back', run: () => setText(text) })
    }
  }

  return (
    <Line
      data-tape=""
      onSubmit={(event) => {
        event.preventDefault()
        submit()
      }}
      onKeyDownCapture={onKeyDownCapture}
    >
      <Box
        items={words}
        inputValue={text}
        onInputChange={(next) => {
          setText(next)
          setBack(0)
        }}
        value={null}
        onChange={(word) => word !== null && take(String(word))}
        onOpenChange={(isOpen) => {
          open.current = isOpen
        }}
        allowsCustomValue
        menuTrigger="input"
        isDisabled={job.state.ended !== undefined}
      >
        <Label>Tape</Label>
        <Input
          ref={input}
          autoComplete="off"
          autoCapitalize="off"
          spellCheck={false}
          aria-describedby="tape-echo"
          placeholder={job.state.released ? 'released' : job.state.closed ? 'closed' : exampleOf(job, length)}
        />
        <Words placement="top start">
          <ListBox<Word> aria-label="Words of the tape">
            {(each) => (
              <Item id={each.word} textValue={each.word}>
                <b>{each.word}</b>
                <span>
                  {each.means} <small>{each.form}</small>
                </span>
              </Item>
            )}
          </ListBox>
        </Words>
      </Box>
      <Echo id="tape-echo" $wrong={complaint !== undefined} aria-live="polite">
        {[[echo, aside].filter(Boolean).join(' '), complaint].filter(Boolean).join(' · ')}
      </Echo>
      <Press quiet onPress={onWords}>
        Words
      </Press>
    </Line>
  )
}
