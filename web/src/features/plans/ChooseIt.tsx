import type { ChosenPlan } from '@overhaul/core/brake/plan'
import { CAUTIONS, type CautionId } from '@overhaul/core/reference/cautions'
import { type ReactNode, useState } from 'react'
import { Ends, Row } from '../../ui/layout.ts'
import { Press } from '../../ui/Press.tsx'
import { Tick } from '../../ui/Tick.tsx'
import { Slate } from '../../ui/words.tsx'
import type { NotesProps } from '../notes.ts'

interface Props {
  readonly cautions: readonly CautionId[]
  readonly chosen: Omit<ChosenPlan, 'acknowledged'>
  readonly say: string
  readonly write: NotesProps['write']
  /** What else stands beside the button, where it ends the act in hand. */
  readonly beside?: ReactNode
}

/** Chosen only with each of its cautions read. */
export function ChooseIt({ cautions, chosen, say, write, beside }: Props) {
  const [read, setRead] = useState<readonly string[]>([])
  const inAct = beside !== undefined
  const Buttons = inAct ? Ends : Row
  return (
    <>
      {cautions.map((caution) => (
        <Tick
          key={caution}
          on={read.includes(caution)}
          onChange={(on) => setRead(on ? [...read, caution] : read.filter((each) => each !== caution))}
        >
          {CAUTIONS[caution].text}
        </Tick>
      ))}
      <Buttons>
        <Press
          go
          {...(inAct && { hint: 'd', 'data-key': 'did-it', 'data-ends': '' })}
          onPress={() => write([{ kind: 'plan', ...chosen, acknowledged: read }])}
        >
          {say}
        </Press>
        {beside}
        {read.length < cautions.length && <Slate>read and tick each caution first</Slate>}
      </Buttons>
    </>
  )
}
