import { DRAWER_COLUMNS } from '@overhaul/core/drawer/rows'
import type { FileReport } from '@overhaul/core/http/contract'
import { useMutation, useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import styled from 'styled-components'
import { useSettings } from '../app/settings.ts'
import { api, sayFailed } from '../data/api.ts'
import { refreshDrawer } from '../data/drawer.ts'
import { FileDrop } from '../ui/FileDrop.tsx'
import { panel, Ruled } from '../ui/layout.ts'
import { Press } from '../ui/Press.tsx'
import { Complaint, Label, Slate } from '../ui/words.tsx'

const Panel = styled.section`
  ${panel}
`

/** Reads a CSV into the drawer: tried first, with every bad row named, and written only when the hand says so. */
export function DrawerFile({ onClose }: { onClose: () => void }) {
  const { by } = useSettings()
  const [text, setText] = useState<string>()
  const read = useMutation({
    mutationFn: ({ file, dryRun }: { file: string; dryRun: boolean }) => api.drawerFile(file, by, dryRun),
    onSuccess: (report) => (report.dryRun ? undefined : refreshDrawer()),
  })
  const report = read.data
  return (
    <Panel aria-label="Read a CSV">
      <Label>Read a CSV</Label>
      <Slate style={{ overflowWrap: 'anywhere' }}>
        One part a row, by its code. Columns: {DRAWER_COLUMNS.join(', ')}. Counts are set to what the file says; parts
        it does not name stay as they are.
      </Slate>
      <FileDrop
        label="or drop a CSV file here"
        choose="Choose a file"
        types={['.csv', 'text/csv']}
        onFile={async (chosen) => {
          const file = await chosen.text()
          setText(file)
          read.mutate({ file, dryRun: true })
        }}
      />
      {read.error && <Complaint>{sayFailed(read.error)}</Complaint>}
      {report && <Report report={report} />}
      {read.isPending && read.variables.dryRun === false && <Progress />}
      <div style={{ display: 'flex', gap: 10 }}>
        {report?.dryRun && text !== undefined && report.added.length + report.changed.length > 0 && (
          <Press go isDisabled={read.isPending} onPress={() => read.mutate({ file: text, dryRun: false })}>
            {report.bad.length > 0 ? 'Write the good rows' : 'Write them'}
          </Press>
        )}
        <Press quiet onPress={onClose}>
          {report && !report.dryRun ? 'Done' : 'Back'}
        </Press>
      </div>
    </Panel>
  )
}

/** How far the file is written. */
function Progress() {
  const { data } = useQuery({ queryKey: ['drawer', 'progress'], queryFn: api.drawerProgress, refetchInterval: 300 })
  return <p role="status">{data && data.of > 0 ? `Writing: ${data.done} of ${data.of} rows are in.` : 'Writing …'}</p>
}

function Report({ report }: { report: FileReport }) {
  const { dryRun, added, changed, unchanged, bad } = report
  return (
    <>
      <p role="status">
        {dryRun ? 'The file would' : 'The file did'} add {added.length}, change {changed.length} and leave{' '}
        {unchanged.length} as they are; {bad.length} {bad.length === 1 ? 'row is' : 'rows are'} bad
        {dryRun ? '. Nothing is written yet.' : '.'}
      </p>
      {bad.length > 0 && (
        <Ruled>
          <thead>
            <tr>
              <th>line</th>
              <th>column</th>
              <th>what is wrong</th>
            </tr>
          </thead>
          <tbody>
            {bad.slice(0, 100).map(({ line, field, message }) => (
              <tr key={`${line} ${field}`}>
                <td>{line}</td>
                <td>{field}</td>
                <td>{message}</td>
              </tr>
            ))}
          </tbody>
        </Ruled>
      )}
    </>
  )
}
