import type { ChosenPlan } from '@overhaul/core/brake/plan'
import { CAUTIONS, type CautionId } from '@overhaul/core/reference/cautions'
import { useState } from 'react'
import { Row } from '../../ui/layout.ts'
import { Press } from '../../ui/Press.tsx'
import { Tick } from '../../ui/Tick.tsx'
import { Slate } from '../../ui/words.tsx'
import type { NotesProps } from '../notes.ts'

interface Props {
  readonly cautions: readonly CautionId[]
  readonly chosen: Omit<ChosenPlan, 'acknowledged'>
  readonly say: string
  readonly write: NotesProps['write']
}

/** Chosen only with each of its cautions read. */
export function ChooseIt({ cautions, chosen, say, write }: Props) {
  const [read, setRead] = useState<readonly string[]>([])
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
      <Row>
        <Press go onPress={() => write([{ kind: 'plan', ...chosen, acknowledged: read }])}>
          {say}
        </Press>
        {read.length < cautions.length && <Slate>read and tick each caution first</Slate>}
      </Row>
    </>
  )
}
