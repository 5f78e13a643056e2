import { pullForTorque } from '@overhaul/core/calculations/torque-from-pull'
import type { Part } from '@overhaul/core/drawer/part'
import { starDetail } from '@overhaul/core/families/disc/drawings/rotor-change'
import { ROTOR_NM, USUAL_BOLTS } from '@overhaul/core/features/rotor/rotor-change'
import { starOrder } from '@overhaul/core/features/rotor/star'
import { formatNumber, parseQuantity, shownUnit } from '@overhaul/core/quantity/quantity'
import type { EntryBody } from '@overhaul/core/stand/entries'
import { lastReading, lastSeen } from '@overhaul/core/stand/fold'
import { showQuantity } from '@overhaul/core/stand/show'
import { useKept } from '../../data/use-kept.ts'
import { DetailDrawing } from '../../drawing/DetailDrawing.tsx'
import { scaleBar } from '../../drawing/ScaleBar.tsx'
import { Press } from '../../ui/Press.tsx'
import { TextField } from '../../ui/TextField.tsx'
import { Complaint, Label, Read, Slate } from '../../ui/words.tsx'
import type { NotesProps } from '../notes.ts'
import { FromDrawer } from '../plans/FromDrawer.tsx'

/** What the drawer knows of a rotor need not be measured again. */
function measuredOf({ dimensions }: Part): readonly EntryBody[] {
  const known = { rotorWide: dimensions.diameterMm, trackNew: dimensions.trackMm, rotorMark: dimensions.leastMm }
  return Object.entries(known).flatMap(([reading, value]): readonly EntryBody[] =>
    value === undefined ? [] : [{ kind: 'reading', reading, value, unit: 'mm', instrument: 'drawer' }],
  )
}

/** The new rotor out of the drawer, the star its bolts are tightened in, and the pull on a key that makes the figure. */
export function Panel({ job, jobId, length, write, onWorked }: NotesProps) {
  const bolts = lastReading(job.state, 'rotorBolts') ?? USUAL_BOLTS
  const isRing = lastSeen(job.state, 'rotorHold') === 'ring'
  return (
    <section aria-label="Rotor">
      {lastReading(job.state, 'rotorWide') === undefined && (
        <FromDrawer
          title="Rotors in the drawer"
          none="None."
          jobId={jobId}
          ended={job.state.ended !== undefined}
          kind="rotor"
          say={({ dimensions }) =>
            `${showQuantity(dimensions.diameterMm ?? 0, 'mm', length)}, ${showQuantity(dimensions.thicknessMm ?? 0, 'mm', length)} thick, ${dimensions.bolts ? `${dimensions.bolts} bolts` : 'lock ring'}`
          }
          take="Take"
          onTake={(part) => write(measuredOf(part))}
        />
      )}
      {!isRing && (
        <>
          <Label>{`Star of ${bolts} bolts`}</Label>
          <div style={{ maxWidth: 420 }}>
            <DetailDrawing
              detail={starDetail(bolts)}
              title={`bolts numbered clockwise: ${starOrder(bolts).join('–')}`}
              notes={[]}
              focus={undefined}
              width={420}
              height={260}
              scaleBar={scaleBar(length)}
            />
          </div>
          <KeyPull length={length} onWorked={onWorked} />
        </>
      )}
    </section>
  )
}

/** Without a torque wrench: a pull at a known length of key. */
function KeyPull({ length, onWorked }: Pick<NotesProps, 'length' | 'onWorked'>) {
  const [text, setText] = useKept('overhaul.key', length === 'in' ? '4' : '100')
  const unit = shownUnit('mm', length)
  const key = parseQuantity(text, unit, 'length of key')
  const pulls = key.ok
    ? [ROTOR_NM.low, ROTOR_NM.high].map((torqueNm) => pullForTorque.work({ torqueNm, lengthMm: key.value }))
    : []
  const worked = pulls.flatMap((each) => (each.ok ? [each.value] : []))
  const fault = key.ok ? pulls.flatMap((each) => (each.ok ? [] : [each.error.message]))[0] : key.error.message
  return (
    <>
      <TextField
        label={`length of key, ${unit}`}
        value={text}
        onChange={(typed) => setText(() => typed)}
        decimal
        width={140}
      />
      {fault && <Complaint>{fault}</Complaint>}
      {worked.length > 0 && (
        <p>
          <Read>{`${ROTOR_NM.low}–${ROTOR_NM.high} N·m is a pull of ${worked.map(({ outputs }) => formatNumber(outputs.forceN as number, 'N')).join(' to ')} N there, square to the key. Common practice; the maker’s figure comes first.`}</Read>{' '}
          <Press quiet onPress={() => onWorked('pull on the key', worked)}>
            Working
          </Press>
        </p>
      )}
      <Slate>A hand judges its pull by a spring scale on the key.</Slate>
    </>
  )
}
