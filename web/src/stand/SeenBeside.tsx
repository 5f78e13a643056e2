import type { Job } from '@overhaul/core/run-sheet/job'

/** What is seen beside the readings of the dial-in, where they are shown. */
export function SeenBeside({ job, shown }: { job: Job; shown: readonly string[] }) {
  const { kit, family, model, state } = job
  const { beside } = family.dial
  const found = beside === undefined ? undefined : state.readings[beside]
  if (!beside || !found || !model.needed.every((id) => shown.includes(id))) return null
  return (
    <p style={{ padding: '10px 0', font: '500 1.0625rem/1.2 var(--label)' }}>
      {kit.title(beside)}: {kit.option(beside, found.value)?.title ?? found.value}
      {found.status === 'recheck' && ' (look again)'}
    </p>
  )
}
