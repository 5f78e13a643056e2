import { WORTH_M } from '@overhaul/core/features/prove/verdict'
import { showWay } from '@overhaul/core/stand/show'
import { Row } from '../../ui/layout.ts'
import { TextField } from '../../ui/TextField.tsx'
import { Toggles } from '../../ui/Toggles.tsx'
import type { NotesProps } from '../notes.ts'
import type { StopSetting } from './stop-setting.ts'

/** What is told with every run. */
export function Setting({
  set,
  onLay,
  length,
}: {
  set: StopSetting
  onLay: (more: Partial<StopSetting>) => void
  length: NotesProps['length']
}) {
  return (
    <>
      <Row>
        <Toggles
          label="when"
          options={[
            { id: 'before', title: 'Before the work' },
            { id: 'after', title: 'After it' },
          ]}
          value={set.phase}
          onChange={(phase) => onLay({ phase: phase as StopSetting['phase'] })}
        />
        <Toggles
          label="ground"
          options={[
            { id: 'dry', title: 'dry' },
            { id: 'wet', title: 'wet' },
          ]}
          value={set.surface}
          onChange={(surface) => onLay({ surface: surface as StopSetting['surface'] })}
        />
        <Toggles
          label="brakes"
          options={[
            { id: 'both', title: 'both brakes' },
            { id: 'this', title: 'this one' },
          ]}
          value={set.brakes}
          onChange={(brakes) => onLay({ brakes: brakes as StopSetting['brakes'] })}
        />
      </Row>
      <Row>
        <TextField
          label="bicycle, rider, load, kg"
          decimal
          width={170}
          value={set.load}
          onChange={(load) => onLay({ load })}
        />
        <TextField
          label="tyre, bar"
          decimal
          width={100}
          placeholder="as it is"
          value={set.pressure}
          onChange={(pressure) => onLay({ pressure })}
        />
        <TextField
          label={`gain worth having, ${length === 'in' ? 'ft' : 'm'}`}
          decimal
          width={170}
          placeholder={showWay(WORTH_M, length).replace(/ .*/, '')}
          value={set.worth}
          onChange={(worth) => onLay({ worth })}
        />
      </Row>
      <Row>
        <Toggles
          label="reaction"
          options={[
            { id: 'outside', title: 'From the mark where it is braked' },
            { id: 'inside', title: 'Reaction inside' },
          ]}
          value={set.inside ? 'inside' : 'outside'}
          onChange={(id) => onLay({ inside: id === 'inside' })}
        />
        {set.inside && (
          <TextField
            label="reaction, s"
            decimal
            width={110}
            value={set.reaction}
            onChange={(reaction) => onLay({ reaction })}
          />
        )}
      </Row>
    </>
  )
}
