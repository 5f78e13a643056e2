import { asksFor } from '@overhaul/core/brake/step'
import type { Because } from '@overhaul/core/brake/window'
import type { Worked as Work } from '@overhaul/core/calculation/calculation'
import { SOURCE_WORDS } from '@overhaul/core/calculation/source'
import { sayLessons } from '@overhaul/core/dial-in/learnt'
import type { LengthUnit } from '@overhaul/core/quantity/quantity'
import { resultIn } from '@overhaul/core/quantity/read-in'
import type { Job } from '@overhaul/core/run-sheet/job'
import { sayMove, showQuantity, showReading } from '@overhaul/core/stand/show'
import type { ReactNode } from 'react'
import { Link } from 'react-router'
import styled from 'styled-components'
import { useSettings } from '../app/settings.ts'
import { Cover } from '../ui/Cover.tsx'
import { Grey, Read, Slate, SourceNote } from '../ui/words.tsx'

export type Subject =
  | { readonly kind: 'advice' }
  | { readonly kind: 'reading'; readonly reading: string }
  | { readonly kind: 'worked'; readonly title: string; readonly worked: readonly Work[] }

const Worked = styled.div`
  border-left: 1px solid var(--rule);
  padding-left: 12px;
  display: grid;
  gap: 2px;
  b {
    font: 600 1.125rem/1.3 var(--label);
  }
`
interface Props {
  readonly job: Job
  readonly subject: Subject
  readonly length: LengthUnit
  readonly onClose: () => void
}

const titleOf = ({ kit }: Job, subject: Subject): string =>
  subject.kind === 'reading' ? `: ${kit.title(subject.reading)}` : subject.kind === 'worked' ? `: ${subject.title}` : ''

/** The sheet's margin: formula, numbers put in, and where each figure comes from. */
export function Margin({ job, subject, length, onClose }: Props) {
  return (
    <Cover title={`Working${titleOf(job, subject)}`} onClose={onClose}>
      {subject.kind === 'worked' ? (
        subject.worked.map((each, index) => <Calculated key={`${each.id} ${index}`} worked={each} />)
      ) : (
        <>
          {subject.kind === 'reading' ? (
            <ReadingWorking job={job} reading={subject.reading} length={length} />
          ) : (
            <AdviceWorking job={job} length={length} />
          )}
          {(subject.kind === 'reading' || dialling(job)) && <Geometry job={job} />}
        </>
      )}
    </Cover>
  )
}

/** One calculation: its formula, the numbers put in, and its sources. */
function Calculated({ worked, children }: { worked: Work; children?: ReactNode }) {
  const { length } = useSettings()
  return (
    <Worked>
      <b>{worked.title}</b>
      <Link to={`/handbook/calculation/${worked.id}`}>in the handbook, with a form of its own</Link>
      {worked.working.map((line) => (
        <p key={line.formula}>
          {line.formula}
          <br />
          <Grey>{resultIn(line.numbers, length)}</Grey>
        </p>
      ))}
      {worked.sources.map((source) => (
        <SourceNote key={source.title} source={source} />
      ))}
      {children}
    </Worked>
  )
}

function ReadingWorking({ job, reading, length }: { job: Job; reading: string; length: LengthUnit }) {
  const spec = job.kit.reading(reading)
  const window = job.windows.of[reading]
  const now = job.state.readings[reading]
  const step = job.kit.steps.find((step) => asksFor(step).includes(reading))
  return (
    <>
      {spec && (
        <p>
          <Read>{spec.how}</Read>
        </p>
      )}
      {step && <LookUp job={job} step={reading} station={step.station} />}
      {spec && (
        <p>
          <Slate>
            Taken with a {spec.instrument}, ±{showQuantity(spec.sd, spec.unit, length)} (
            {SOURCE_WORDS['common-practice']}). Accepted: {showQuantity(spec.min, spec.unit, length)} to{' '}
            {showQuantity(spec.max, spec.unit, length)}.
          </Slate>
        </p>
      )}
      {now?.cause && (
        <p>
          <Read>{`Look again: ${now.cause}.`}</Read>
        </p>
      )}
      {window && spec && (
        <Worked>
          <b>
            Window {showQuantity(window.low, spec.unit, length)} to {showQuantity(window.high, spec.unit, length)}
          </b>
          {window.because.map((each) => (
            <p key={each.text}>
              <Read>{each.text}</Read> <SourceNote source={each.source} />
            </p>
          ))}
        </Worked>
      )}
    </>
  )
}

/** Where the handbook has more of it. */
const LookUp = ({ job, step, station }: { job: Job; step: string; station: string }) => (
  <Link to={`/handbook/station/${station}?brake=${job.family.id}#${step}`}>
    In the handbook: right and wrong, how it is taken
  </Link>
)

/** Why the windows the advice aims at lie where they do, each reason once. */
const reasonsOf = ({ model, windows }: Job): readonly Because[] => {
  const reasons = model.steered.flatMap((id) => windows.of[id]?.because ?? [])
  return [...new Map(reasons.map((each) => [each.text, each])).values()]
}

/** Whether the next act is a matter of the setting: else its windows and the geometry explain nothing. */
const dialling = ({ next }: Job): boolean => next.step.done.kind === 'dialled-in'

function AdviceWorking({ job, length }: { job: Job; length: LengthUnit }) {
  const { kit, next, belief, model } = job
  const learnt = sayLessons(belief)
  const title = (id: string) => model.adjusters.find((each) => each.id === id)
  return (
    <>
      <p>
        <Read>{next.step.why}</Read>
      </p>
      <LookUp job={job} step={next.step.id} station={next.step.station} />
      {next.kind === 'turn' && (
        <Worked>
          <b>Expected after the turn and ten squeezes</b>
          {next.turn.expected
            .filter(({ reading }) => kit.reading(reading))
            .map(({ reading, value, sd }) => (
              <p key={reading}>
                {kit.title(reading)} {showReading(kit, reading, value, length)} ±{' '}
                {showQuantity(sd, kit.reading(reading)?.unit ?? 'mm', length)}
              </p>
            ))}
          <p>
            Chance that all fall in their windows: {Math.round(100 * next.turn.chance)} %; as it stands{' '}
            {Math.round(100 * next.chanceNow)} %.{' '}
            <Slate>computed: share of the possible brakes that agree with this log</Slate>
          </p>
          {next.others.map((other) => (
            <p key={JSON.stringify(other.moves)}>
              Next best:{' '}
              {other.moves
                .map((move) => {
                  const spec = title(move.adjuster)
                  return spec ? sayMove(spec, move, length).toLowerCase() : move.adjuster
                })
                .join(', ')}{' '}
              — {Math.round(100 * other.chance)} %.
            </p>
          ))}
        </Worked>
      )}
      {learnt.length > 0 && (
        <Worked>
          <b>What this brake has taught</b>
          {learnt.map((each) => (
            <p key={each}>
              <Read>{each}</Read>
            </p>
          ))}
        </Worked>
      )}
      {dialling(job) && (
        <Worked>
          <b>Windows</b>
          {reasonsOf(job).map((each) => (
            <p key={each.text}>
              <Read>{each.text}</Read> <SourceNote source={each.source} />
            </p>
          ))}
        </Worked>
      )}
    </>
  )
}

/** Measured in this very job: it stands over what was known of the brake. */
const measuredHere = ({ kit, state }: Job, dimension: string): boolean =>
  kit.readings.some((each) => each.dimension === dimension && state.readings[each.id] !== undefined)

/** The geometry behind the drawing and the belief, with where each dimension comes from. */
function Geometry({ job }: { job: Job }) {
  const { dimensions, family, hardware } = job
  const geometry = family.worked?.(job)
  if (!geometry) return null
  if (!geometry.worked.ok) return <p>{geometry.worked.error.message}</p>
  return (
    <Calculated worked={geometry.worked.value}>
      {geometry.dimensions.map((name) => {
        const spec = family.dimensions.find((each) => each.id === name)
        const own = hardware.dimensions[name]
        return (
          <Slate key={name}>
            {spec?.title} {dimensions[name]} {spec?.unit}:{' '}
            {measuredHere(job, name)
              ? SOURCE_WORDS.measured
              : own
                ? `${own.provenance === 'maker' ? 'maker’s figure' : SOURCE_WORDS.measured}`
                : SOURCE_WORDS[spec?.source.kind ?? 'from-memory']}
          </Slate>
        )
      })}
    </Calculated>
  )
}
