import type { Worked } from '@overhaul/core/calculation/calculation'
import { type Asked, bookCableMm, COMMON_DRUMS, drumStop, rimStop } from '@overhaul/core/families/drum/force'
import { shoesAt } from '@overhaul/core/families/drum/torque'
import { parseNumber } from '@overhaul/core/quantity/number'
import { formatNumber } from '@overhaul/core/quantity/quantity'
import { showQuantity } from '@overhaul/core/stand/show'
import { useMedia } from '../../app/settings.ts'
import { PHONE } from '../../app/theme.ts'
import { useKept } from '../../data/use-kept.ts'
import { Curves } from '../../drawing/Curves.tsx'
import { Ruled } from '../../ui/layout.ts'
import { Press } from '../../ui/Press.tsx'
import { TextField } from '../../ui/TextField.tsx'
import { Complaint, Label, Slate } from '../../ui/words.tsx'
import type { NotesProps } from '../notes.ts'

const HALF_G = 0.5
/** What a small drum still keeps room for. */
const GENTLE_G = 0.3
const POINTS = 40
const LEAST_KG = 20

/** What a stop takes of this drum, of the common ones, and of a rim brake on the same wheel; and how the linings press. */
export function Panel({ job, length, onWorked }: NotesProps) {
  const narrow = useMedia(PHONE)
  const { dimensions: d, here, model } = job
  const [typed, setTyped] = useKept('overhaul.unloaded', '')
  const loadedKg = d.loadedMassKg as number
  const without = parseNumber(typed, 'without load')
  const unloadedKg = without.ok && without.value >= LEAST_KG && without.value < loadedKg ? without.value : undefined
  const fault =
    typed.trim() !== '' && unloadedKg === undefined
      ? `“${typed}” kg. Accepted: ${LEAST_KG} to less than ${loadedKg.toFixed(0)} kg, the loaded bicycle.`
      : undefined
  const cable = bookCableMm(d, model.throw.freePlayMm)
  const radii = [...new Set([d.drumRadiusMm as number, ...COMMON_DRUMS.map((wide) => wide / 2)])].sort((a, b) => a - b)
  const stops = [
    ...[loadedKg, ...(unloadedKg === undefined ? [] : [unloadedKg])].flatMap((massKg) => [
      ...radii.map((drumRadiusMm) => drumStop({ ...d, drumRadiusMm }, here, { massKg, decelerationG: HALF_G }, cable)),
      rimStop(d, { massKg, decelerationG: HALF_G }),
    ]),
    drumStop(d, here, { massKg: loadedKg, decelerationG: GENTLE_G }, cable),
  ].flatMap((each) => (each.ok ? [each.value] : []))
  const own = stops.find(
    ({ what, massKg }) => what.startsWith(`${Math.round(2 * (d.drumRadiusMm as number))} `) && massKg === loadedKg,
  )
  const mm = (value: number) => showQuantity(value, 'mm', length)
  return (
    <section aria-label="What a stop takes">
      <Label>What a stop takes</Label>
      <Ruled>
        <thead>
          <tr>
            <th>brake</th>
            <th>stop</th>
            <th>hand</th>
            <th>to the bar</th>
            <th>lining</th>
          </tr>
        </thead>
        <tbody>
          {stops.map((each) => (
            <tr key={`${each.what} ${each.massKg} ${each.decelerationG}`}>
              <td>{each.what}</td>
              <td
                style={{ whiteSpace: 'nowrap' }}
              >{`${each.decelerationG.toFixed(1)} g, ${each.massKg.toFixed(0)} kg`}</td>
              <td style={{ whiteSpace: 'nowrap' }}>
                <b>{`${formatNumber(each.handN, 'N')} N`}</b>
              </td>
              <td>
                {each.reserveMm === undefined
                  ? 'its own lever'
                  : each.reserveMm < 0
                    ? 'at the bar before'
                    : mm(each.reserveMm)}
              </td>
              <td style={{ whiteSpace: 'nowrap' }}>
                {each.pressureMpa === undefined ? '' : `${each.pressureMpa.toFixed(1)} MPa`}
              </td>
            </tr>
          ))}
        </tbody>
      </Ruled>
      <TextField label="without load, kg" value={typed} onChange={(text) => setTyped(() => text)} decimal width={140} />
      {fault && <Complaint>{fault}</Complaint>}
      <p>A small drum fades on a long descent: how soon, nobody can say from these figures.</p>
      {own && <Pressure job={job} own={own} narrow={narrow} />}
      <Press quiet onPress={() => onWorked('what a stop takes', own ? own.worked : ([] as readonly Worked[]))}>
        Working
      </Press>
      <Slate>Shoes and hinge as the book has them, from memory; measure what you can.</Slate>
    </section>
  )
}

/** Pressure along each lining at half a g, by its angle from the hinge. */
function Pressure({ job, own, narrow }: { job: NotesProps['job']; own: Asked; narrow: boolean }) {
  const { dimensions: d, here } = job
  const worked = shoesAt(d, here, (own.pressureMpa ?? 1) * 1000)
  if (!worked.ok) return null
  const [start, end] = [d.liningStartDeg as number, d.liningEndDeg as number]
  const peak = Math.sin((Math.min(end, Math.max(start, 90)) * Math.PI) / 180)
  const along = (most: number) =>
    Array.from({ length: POINTS + 1 }, (_, index) => {
      const x = start + ((end - start) * index) / POINTS
      return { x, y: (most * Math.sin((x * Math.PI) / 180)) / peak }
    })
  const trailing = worked.value.outputs.trailingPressureKpa / 1000
  return (
    <Curves
      label="Pressure along each lining"
      panels={[
        {
          title: `pressure at half a g, MPa`,
          lines: [
            { points: along(own.pressureMpa ?? 1), label: 'leading' },
            { points: along(trailing), label: 'trailing' },
          ],
        },
      ]}
      xTitle="along the lining from the hinge, °"
      valueText={`leading ${(own.pressureMpa ?? 0).toFixed(1)} MPa, trailing ${trailing.toFixed(1)} MPa`}
      narrow={narrow}
    />
  )
}
