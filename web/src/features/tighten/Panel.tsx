import { parseQuantity, shownUnit } from '@overhaul/core/quantity/quantity'
import { fastenersOf } from '@overhaul/core/run-sheet/fasteners'
import { useMemo } from 'react'
import styled from 'styled-components'
import { useKept } from '../../data/use-kept.ts'
import { Row } from '../../ui/layout.ts'
import { TextField } from '../../ui/TextField.tsx'
import { Toggles } from '../../ui/Toggles.tsx'
import { Complaint, Label, Slate } from '../../ui/words.tsx'
import type { NotesProps } from '../notes.ts'
import { FastenerLine } from './FastenerLine.tsx'
import type { Means } from './torque-told.ts'

const List = styled.ul`
  display: grid;
  > li {
    display: grid;
    grid-template-columns: 26px minmax(0, 1fr);
    gap: 2px 10px;
    padding: 10px 0;
    border-top: 1px solid var(--rule);
  }
  > li > div {
    display: grid;
    gap: 6px;
    min-width: 0;
  }
`

/** Every fastener of this brake with thread, tool, figure and rule; each loosened one is ticked off by itself. */
export function Panel({ job, length, write, onWorked }: NotesProps) {
  const [means, change] = useKept<Means>('overhaul.torque-means', {
    by: 'wrench',
    key: length === 'in' ? '4' : '100',
    pullIn: length === 'in' ? 'lbf' : 'N',
  })
  const all = useMemo(() => fastenersOf(job), [job])
  const lengthUnit = shownUnit('mm', length)
  const key = parseQuantity(means.key, lengthUnit, 'length of key')
  const open = all.filter(({ state }) => state !== 'done').length
  return (
    <section aria-label="Fasteners">
      <Label>{`Fasteners · ${all.length - open} of ${all.length} tight`}</Label>
      <Row>
        <Toggles
          label="torque by"
          options={[
            { id: 'wrench', title: 'Torque wrench' },
            { id: 'key', title: 'Pull on a key' },
          ]}
          value={means.by}
          onChange={(by) => change((now) => ({ ...now, by: by as Means['by'] }))}
        />
        {means.by === 'key' && (
          <>
            <TextField
              label={`length of key, ${lengthUnit}`}
              value={means.key}
              onChange={(text) => change((now) => ({ ...now, key: text }))}
              decimal
              width={150}
            />
            <Toggles
              label="pull in"
              options={(['N', 'kgf', 'lbf'] as const).map((id) => ({ id, title: id }))}
              value={means.pullIn}
              onChange={(pullIn) => change((now) => ({ ...now, pullIn: pullIn as Means['pullIn'] }))}
            />
          </>
        )}
      </Row>
      {means.by === 'key' && !key.ok && <Complaint>{key.error.message}</Complaint>}
      <List>
        {all.map((each) => (
          <FastenerLine
            key={each.spec.id}
            held={each}
            means={means}
            keyMm={key}
            length={length}
            ended={job.state.ended !== undefined}
            titleOf={job.kit.stepTitle}
            write={write}
            onWorked={onWorked}
          />
        ))}
      </List>
      <Slate as="p">
        A loosened one comes back unticked. The rest is one answer: all tight. The maker’s figure comes first; ours are
        from memory. Carbon: the maker’s figure and a torque wrench, no exception.
      </Slate>
    </section>
  )
}
