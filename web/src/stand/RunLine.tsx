import type { StationId } from '@overhaul/core/brake/station'
import type { StationStatus } from '@overhaul/core/run-sheet/line'
import { memo, useEffect, useRef } from 'react'
import { Button } from 'react-aria-components'
import styled from 'styled-components'
import { upright } from '../app/theme.ts'
import { MarkShape, stationWords } from '../drawing/Mark.tsx'

const Line = styled.ol`
  display: flex;
  justify-content: space-between;
  padding: 0 14px;
  border-bottom: 1px solid var(--rule);
  overflow-x: auto;
  background: linear-gradient(var(--rule), var(--rule)) no-repeat 0 25px / 100% 1px;
  ${upright} {
    justify-content: flex-start;
  }
`

const Stop = styled.li`
  flex: 1 0 84px;
  display: grid;
`

const Face = styled(Button)<{ $here: boolean }>`
  all: unset;
  display: grid;
  justify-items: center;
  gap: 2px;
  padding: 8px 6px 0;
  min-height: 66px;
  box-sizing: border-box;
  cursor: pointer;
  font: ${({ $here }) => ($here ? 600 : 500)} 1.125rem/1.2 var(--label);
  letter-spacing: 0.02em;
  border-bottom: 3px solid ${({ $here }) => ($here ? 'var(--ink)' : 'transparent')};
  &[data-focus-visible] {
    outline: 3px solid var(--predicted);
    outline-offset: -4px;
  }
  &[data-disabled] {
    cursor: default;
    color: var(--slate);
  }
  svg {
    background: var(--sheet);
  }
`

interface StopProps extends Pick<StationStatus, 'id' | 'title' | 'mark' | 'cause'> {
  readonly here: boolean
  readonly onGo: (id: StationId) => void
}

const StationStop = memo(function StationStop({ id, title, mark, cause, here, onGo }: StopProps) {
  return (
    <Stop>
      <Face
        $here={here}
        isDisabled={mark === 'left-out'}
        {...(here && { 'aria-current': 'step' as const })}
        aria-label={`${title}: ${stationWords(mark)}${cause ? `, ${cause}` : ''}`}
        onPress={() => onGo(id)}
      >
        <svg width="34" height="34" viewBox="-17 -17 34 34" aria-hidden="true">
          <MarkShape shape={mark} r={9} />
        </svg>
        {title}
      </Face>
    </Stop>
  )
})

interface Props {
  readonly stations: readonly StationStatus[]
  readonly here: StationId
  readonly onGo: (id: StationId) => void
}

/** The stations in working order, each with its state; those still to come are shown, not offered. */
export function RunLine({ stations, here, onGo }: Props) {
  const line = useRef<HTMLOListElement>(null)
  // biome-ignore lint/correctness/useExhaustiveDependencies: the station in hand comes into sight on a narrow screen
  useEffect(() => {
    const at = line.current?.querySelector<HTMLElement>('[aria-current]')
    if (at && line.current) line.current.scrollLeft = at.offsetLeft - (line.current.clientWidth - at.offsetWidth) / 2
  }, [here])
  return (
    <nav aria-label="Stations">
      <Line ref={line}>
        {stations.map(({ id, title, mark, cause }) => (
          <StationStop
            key={id}
            id={id}
            title={title}
            mark={mark}
            {...(cause && { cause })}
            here={id === here}
            onGo={onGo}
          />
        ))}
      </Line>
    </nav>
  )
}
