import styled from 'styled-components'
import { changeSettings, useSettings } from '../app/settings.ts'
import { Cover } from '../ui/Cover.tsx'
import { Key } from '../ui/Press.tsx'
import { Tick } from '../ui/Tick.tsx'
import { KEYS } from './use-keys.ts'

const Keys = styled.dl`
  display: grid;
  grid-template-columns: 120px 1fr;
  gap: 8px;
  align-items: baseline;
  kbd {
    display: inline;
  }
`

/** The keys, and the switch that puts the letters to rest. */
export function KeyList({ onClose }: { onClose: () => void }) {
  const { letterKeys } = useSettings()
  return (
    <Cover title="Keys" onClose={onClose}>
      <Keys>
        {KEYS.map(([key, does]) => (
          <div key={key} style={{ display: 'contents' }}>
            <dt>
              <Key>{key}</Key>
            </dt>
            <dd>{does}</dd>
          </div>
        ))}
      </Keys>
      <Tick on={letterKeys} onChange={(on) => changeSettings({ letterKeys: on })}>
        letter keys
      </Tick>
    </Cover>
  )
}
