import type { PlannedPart } from '@overhaul/core/brake/plan'
import { useSettings } from '../../app/settings.ts'
import { DRAWER, moveParts, useHeld, useIsMoving } from '../../data/drawer.ts'
import { Row } from '../../ui/layout.ts'
import { Press } from '../../ui/Press.tsx'
import { WaitingChanges } from '../../waiting/WaitingChanges.tsx'

/** What something chosen needs of the drawer: taken for this job, or given back. */
export function TakeParts({ parts, jobId }: { parts: readonly PlannedPart[]; jobId: string }) {
  const { by } = useSettings()
  const held = useHeld(jobId)
  const isMoving = useIsMoving()
  if (parts.length === 0 && held.length === 0) return null
  const wanted = parts.flatMap(({ partId, name, count }) => {
    const has = held.find((each) => each.partId === partId)?.count ?? 0
    return partId && count > has ? [{ partId, name, delta: has - count }] : []
  })
  return (
    <>
      {held.length > 0 && <p>Taken for this job: {held.map(({ name, count }) => `${count} × ${name}`).join(', ')}.</p>}
      <Row>
        {wanted.length > 0 && (
          <Press go isDisabled={isMoving} onPress={() => moveParts(wanted.map((each) => ({ ...each, jobId, by })))}>
            {`Take from the drawer: ${wanted.map(({ name, delta }) => `${-delta} × ${name}`).join(', ')}`}
          </Press>
        )}
        {held.length > 0 && (
          <Press
            isDisabled={isMoving}
            onPress={() =>
              moveParts(held.map(({ partId, name, count }) => ({ partId, name, delta: count, jobId, by })))
            }
          >
            Give back
          </Press>
        )}
      </Row>
      <WaitingChanges about={DRAWER} />
    </>
  )
}
