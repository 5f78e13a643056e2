import styled from 'styled-components'
import { changeSettings, useSettings } from '../app/settings.ts'
import { Key, Label, Press, SideSheet } from '../ui/parts.tsx'
import { KEYS } from './use-keys.ts'

const Sheet = styled(SideSheet)`
  dl {
    display: grid;
    grid-template-columns: 120px 1fr;
    gap: 10px;
  }
  label {
    display: flex;
    gap: 10px;
    align-items: center;
    min-height: 44px;
  }
`

/** The keys, and the switch that puts the letters to rest. */
export function KeyList({ onClose }: { onClose: () => void }) {
  const { letterKeys, by } = useSettings()
  return (
    <Sheet aria-label="Keys">
      <div style={{ display: 'flex', justifyContent: 'space-between' }}>
        <Label>Keys</Label>
        <Press hint="Esc" onPress={onClose}>
          Close
        </Press>
      </div>
      <dl>
        {KEYS.map(([key, does]) => (
          <div key={key} style={{ display: 'contents' }}>
            <dt>
              <Key style={{ display: 'inline' }}>{key}</Key>
            </dt>
            <dd>{does}</dd>
          </div>
        ))}
      </dl>
      <label>
        <input
          type="checkbox"
          checked={letterKeys}
          onChange={(event) => changeSettings({ letterKeys: event.target.checked })}
        />
        letter keys
      </label>
      <label>
        written by
        <input
          value={by}
          maxLength={20}
          onChange={(event) => event.target.value.trim() && changeSettings({ by: event.target.value.trim() })}
          style={{ height: 44, width: 90, border: '1.5px solid var(--control)', background: 'none', padding: '0 10px' }}
        />
      </label>
    </Sheet>
  )
}
