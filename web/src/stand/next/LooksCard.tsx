import type { Card, Row as CardRow } from '@overhaul/core/stand/card'
import { soundIn } from '@overhaul/core/stand/card'
import type { EntryBody } from '@overhaul/core/stand/entries'
import { showAnswer } from '@overhaul/core/stand/show'
import { lower } from '@overhaul/core/stand/words'
import { type ReactNode, useState } from 'react'
import { Row } from '../../ui/layout.ts'
import { Press } from '../../ui/Press.tsx'
import { Complaint, Slate } from '../../ui/words.tsx'
import { CautionList } from './ActCautions.tsx'
import { Badge, FirstRow, Head, Line, Open, Rows } from './card-rows.tsx'
import { type NextProps, Top } from './parts.tsx'
import { useWait } from './use-on-show.ts'

interface Props extends NextProps {
  readonly card: Card
  /** How long it has been on show, seconds. */
  readonly shownS: () => number
  /** The act of one row, with all its answers. */
  readonly act: (row: CardRow) => ReactNode
}

const readingOf = (body: EntryBody): string | undefined => (body.kind === 'reading' ? body.reading : undefined)

/** What a row comes to where it is sound, or what the hand chose in it; “choose” where it must. */
function wordsOf({ job, drafts, length }: Props, row: CardRow): string {
  if (row.step.done.kind === 'confirmed') return lower(row.step.done.well)
  const sound = new Map(row.sound?.flatMap((body) => (body.kind === 'reading' ? [[body.reading, body.value]] : [])))
  const says = row.readings.map((id) => {
    const value = drafts.text[id] ?? sound.get(id)
    return value === undefined
      ? `${job.kit.title(id)}: choose`
      : `${job.kit.title(id)} ${lower(showAnswer(job.kit, id, value, length))}`
  })
  return `${says.join(' · ')}${row.kept ? ', as last time' : ''}`
}

/** What the hand chose on this card that is not well. */
const otherwiseOn = ({ job, drafts, card }: Props): string | undefined =>
  card.rows.flatMap(({ readings }) => readings).find((id) => job.kit.option(id, drafts.text[id])?.remedy !== undefined)

/** A walk round, or what is felt at the lever: all of it at once where it is sound, any row by itself where it is not. */
export function LooksCard(props: Props) {
  const { job, card, drafts, length, onSave, shownS, act } = props
  const [picked, setPicked] = useState<string>()
  /** All was said to be sound while something chosen is not. */
  const [isContradicted, setContradicted] = useState(false)
  const wait = useWait(card, shownS)
  const inHand = card.rows.find(({ step }) => step.id === picked)
  // What the hand must choose stands open when it is its turn.
  const first = inHand ? undefined : card.rows[0]
  const open = inHand ?? (first?.sound ? undefined : first)
  const cautions = [...new Set(card.rows.flatMap(({ step }) => step.cautions))]
  const typed = new Set(card.rows.flatMap(({ readings }) => readings).filter((id) => drafts.text[id] !== undefined))
  const sound = soundIn(card).filter((body) => !typed.has(readingOf(body) ?? ''))
  const left = card.rows.filter((row) => !row.sound && row.readings.some((id) => drafts.text[id] === undefined)).length

  const otherwise = otherwiseOn(props)
  const fault =
    isContradicted && otherwise !== undefined
      ? `Not all sound: ${job.kit.title(otherwise)} ${lower(showAnswer(job.kit, otherwise, drafts.text[otherwise] as string, length))}. Save that first.`
      : undefined

  const allSound = () => {
    setContradicted(otherwise !== undefined)
    if (otherwise !== undefined) return
    const tookS = Math.round(shownS())
    onSave(sound.map((body) => (body.kind === 'confirm' || body.kind === 'reading' ? { ...body, tookS } : body)))
  }

  return (
    <>
      <Top label={card.title}>{`${card.rows.length} looks`}</Top>
      <Head>
        <Press
          go
          hint="a"
          data-key="all-sound"
          data-ends=""
          isDisabled={wait > 0 || sound.length + typed.size === 0}
          onPress={allSound}
        >
          {wait > 0 ? `All sound, in ${wait} s` : 'All sound'}
        </Press>
        <Slate>{left > 0 ? `${left} to choose; touch what is not sound.` : 'Touch what is not sound.'}</Slate>
      </Head>
      {fault && <Complaint>{fault}</Complaint>}
      <Rows aria-label={card.title}>
        {card.rows.map((row, index) => (
          <li key={row.step.id}>
            {row === open || row === first ? (
              <Open>
                <Badge>{index + 1}</Badge>
                <div>
                  {row === open ? (
                    act(row)
                  ) : (
                    <FirstRow
                      job={job}
                      row={row}
                      write={props.write}
                      words={wordsOf(props, row)}
                      onOther={() => setPicked(row.step.id)}
                    />
                  )}
                </div>
              </Open>
            ) : (
              <Line type="button" onClick={() => setPicked(row.step.id)}>
                <Badge>{index + 1}</Badge>
                <span>
                  {row.step.title}
                  <br />
                  <small>{wordsOf(props, row)}</small>
                </span>
              </Line>
            )}
          </li>
        ))}
      </Rows>
      {!open && <CautionList ids={cautions} />}
      <Row>
        <Press quiet hint="w" onPress={props.onWhy}>
          Why
        </Press>
      </Row>
    </>
  )
}
