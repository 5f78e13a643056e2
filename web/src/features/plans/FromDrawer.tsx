import type { PartKindId } from '@overhaul/core/drawer/kinds'
import type { Part } from '@overhaul/core/drawer/part'
import styled from 'styled-components'
import { useSettings } from '../../app/settings.ts'
import { DRAWER, moveParts, useDrawer, useIsMoving } from '../../data/drawer.ts'
import { Press } from '../../ui/Press.tsx'
import { Label, Slate } from '../../ui/words.tsx'
import { WaitingChanges } from '../../waiting/WaitingChanges.tsx'

const Held = styled.li`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 12px;
  padding: 4px 0;
  > span:first-child {
    flex: 1 1 240px;
  }
`
const MOST = 4

interface Props {
  readonly title: string
  /** Said where the drawer holds none. */
  readonly none: string
  readonly jobId: string
  readonly ended: boolean
  /** Every part of this kind, or those that were chosen already, the best first. */
  readonly kind?: PartKindId
  readonly parts?: readonly Part[]
  /** Its size, and how it differs from what is on. */
  readonly say: (part: Part) => string
  readonly fits?: (part: Part) => string | undefined
  /** What is done with one, as it stands on its button. */
  readonly take: string
  readonly onTake: (part: Part) => void
}

/** Parts in the drawer that may go on: taken for this job and written down in one act. */
export function FromDrawer({ title, none, jobId, ended, kind, parts, say, fits, take, onTake }: Props) {
  const { by } = useSettings()
  const { data: stock = [] } = useDrawer()
  const isMoving = useIsMoving()
  const shown = parts ?? stock.filter((part) => part.kind === kind && part.count > 0)
  const takeOne = (part: Part) => {
    moveParts([{ partId: part.id, name: part.name, delta: -1, jobId, by }])
    onTake(part)
  }
  return (
    <>
      <Label>{title}</Label>
      {shown.length === 0 && <Slate>{none}</Slate>}
      <ul>
        {shown.slice(0, MOST).map((part) => (
          <Held key={part.id}>
            <span>
              <b>{part.name}</b>, {say(part)}
              <br />
              <Slate>{[fits?.(part), `${part.count} at hand`].filter(Boolean).join(', ')}</Slate>
            </span>
            {!ended && (
              <Press isDisabled={isMoving} onPress={() => takeOne(part)} aria-label={`${take} ${part.name}`}>
                {take}
              </Press>
            )}
          </Held>
        ))}
      </ul>
      <WaitingChanges about={DRAWER} />
    </>
  )
}
