import type { Worked } from '@overhaul/core/calculation/calculation'
import { leverMatchAt } from '@overhaul/core/features/match/judge'
import type { LengthUnit } from '@overhaul/core/quantity/quantity'
import type { Job } from '@overhaul/core/run-sheet/job'
import { showQuantity } from '@overhaul/core/stand/show'
import { Mark } from '../../drawing/Mark.tsx'
import { Ruled } from '../../ui/layout.ts'
import { Press } from '../../ui/Press.tsx'
import { Label, Read, Slate } from '../../ui/words.tsx'

interface Props {
  readonly job: Job
  readonly length: LengthUnit
  readonly onWorked: (title: string, worked: readonly Worked[]) => void
}

/** Lever, brake, wheel and rider together, worked out from what is known of them so far. */
export function Panel({ job, length, onWorked }: Props) {
  const match = leverMatchAt(job)
  if (!match.ok) return <p>{match.error.message}</p>
  const {
    verdict,
    say,
    remedy,
    contactTravelMm,
    contactShare,
    reserveMm,
    leverage,
    torqueNmPerN,
    handForceN,
    decelerationG,
    setting,
    wetHandForceN,
    wetDecelerationG,
    worked,
  } = match.value
  const measured = ['leverPull', 'leverFinger', 'leverReach', 'ridersMass'].every((id) => job.state.readings[id])
  const figures: readonly (readonly [string, string])[] = [
    [
      `bite, ${setting}`,
      `${showQuantity(contactTravelMm, 'mm', length)}, ${Math.round(100 * contactShare)} % of the reach`,
    ],
    ['reserve at the squeeze this stop needs', showQuantity(reserveMm, 'mm', length)],
    ['lever, finger over cable arm', `${leverage.toFixed(2)} : 1`],
    ...(job.model.contactRatio === undefined
      ? []
      : [['linkage, cable over pads', `${job.model.contactRatio.toFixed(2)} : 1`] as const]),
    ['braking torque for 100 N of cable', `${(100 * torqueNmPerN).toFixed(0)} N·m`],
    [`finger force for a full stop, ${decelerationG.toFixed(2)} of its weight`, `${Math.round(handForceN)} N`],
    [`the same in the wet, ${wetDecelerationG.toFixed(2)} of its weight`, `${Math.round(wetHandForceN)} N`],
  ]
  return (
    <section aria-label="Lever and brake">
      <Label>Lever and brake</Label>
      <p style={{ display: 'grid', gridTemplateColumns: '26px 1fr', gap: 8, alignItems: 'start' }}>
        <Mark shape={verdict === 'fits' ? 'in' : 'high'} size={22} />
        <span>
          <Read>{`${say} ${remedy}`}</Read>
        </span>
      </p>
      {!measured && <Slate>Worked out from typical figures where nothing is measured yet.</Slate>}
      <Ruled>
        <tbody>
          {figures.map(([title, value]) => (
            <tr key={title}>
              <td>{title}</td>
              <td style={{ font: '600 1.25rem/1.2 var(--label)', whiteSpace: 'nowrap' }}>{value}</td>
            </tr>
          ))}
        </tbody>
      </Ruled>
      <Press quiet onPress={() => onWorked('lever and brake', worked)}>
        Working
      </Press>
    </section>
  )
}
