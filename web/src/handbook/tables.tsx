import { SYMPTOMS } from '@overhaul/core/bench/symptoms'
import type { Family } from '@overhaul/core/brake/family'
import type { Kit } from '@overhaul/core/brake/kit'
import { STATIONS } from '@overhaul/core/brake/station'
import { formatNumber, shownUnit, UNITS } from '@overhaul/core/quantity/quantity'
import { CAUTIONS } from '@overhaul/core/reference/cautions'
import { TERMS } from '@overhaul/core/reference/terms'
import { TORQUE_SOURCE, TORQUES, type TorqueFigure } from '@overhaul/core/reference/torques'
import { upper } from '@overhaul/core/stand/words'
import { vocabulary } from '@overhaul/core/tape/words'
import { fitFamily } from '@overhaul/core/workshop/families'
import { Link } from 'react-router'
import { useSettings } from '../app/settings.ts'
import { Ruled } from '../ui/layout.ts'
import { Cautions, Read, Slate, SourceNote } from '../ui/words.tsx'

/** What riders complain of, and where each leads. */
export function SymptomsPage({ at }: { at: (to: string) => string }) {
  return (
    <section aria-label="What is the matter">
      <h2>What is the matter, and where it leads</h2>
      <Slate>Common practice, likeliest first. The wheel is looked at before any screw of the brake is touched.</Slate>
      <Ruled>
        <tbody>
          {SYMPTOMS.map(({ id, says, leads }) => (
            <tr key={id} id={id}>
              <td style={{ width: 240 }}>
                <b>{upper(says)}</b>
              </td>
              <td>
                {leads.map(({ to, station }) => (
                  <div key={to}>
                    {to}:{' '}
                    <Link to={at(`/handbook/station/${station}`)}>
                      {STATIONS.find((each) => each.id === station)?.title}
                    </Link>
                  </div>
                ))}
              </td>
            </tr>
          ))}
        </tbody>
      </Ruled>
    </section>
  )
}

export function TorquePage() {
  const { length } = useSettings()
  const unit = shownUnit('Nm', length)
  return (
    <section aria-label="Torque">
      <h2>Torque figures to start from</h2>
      <SourceNote source={TORQUE_SOURCE} />
      <Ruled>
        <thead>
          <tr>
            <th>fastener</th>
            <th>thread</th>
            <th>{UNITS[unit].symbol}</th>
            <th>rule</th>
          </tr>
        </thead>
        <tbody>
          {Object.values<TorqueFigure>(TORQUES).map(({ fastener, thread, nm, rule }) => (
            <tr key={fastener}>
              <td>
                <b>{fastener}</b>
              </td>
              <td>{thread}</td>
              <td style={{ whiteSpace: 'nowrap' }}>
                {nm ? nm.map((each) => formatNumber(each, unit, 0)).join('–') : 'the maker’s'}
              </td>
              <td>{rule}</td>
            </tr>
          ))}
        </tbody>
      </Ruled>
      <p>
        Without a torque wrench: so much force at so long a key. The calculation{' '}
        <Link to="/handbook/calculation/torque-from-pull">torque from a pull</Link> works it out.
      </p>
    </section>
  )
}

export function CautionsPage() {
  return (
    <section aria-label="Cautions">
      <h2>Cautions</h2>
      <Slate>Each stands again where the hand is about to act, and in print.</Slate>
      <Cautions>
        {Object.values(CAUTIONS).map(({ id, text }) => (
          <li key={id} id={id}>
            <Read>{text}</Read>
          </li>
        ))}
      </Cautions>
    </section>
  )
}

export function WordsPage() {
  return (
    <section aria-label="Words">
      <h2>Words</h2>
      <Slate>One name for one thing. Left and right are the rider’s, always.</Slate>
      <Ruled>
        <tbody>
          {TERMS.map(({ id, term, says, also }) => (
            <tr key={id} id={id}>
              <td style={{ width: 220 }}>
                <b>{term}</b>
              </td>
              <td>
                <Read>{says}</Read> {also && <Slate>Elsewhere also: {also.join(', ')}.</Slate>}
              </td>
            </tr>
          ))}
        </tbody>
      </Ruled>
    </section>
  )
}

export function TapePage({ kit, family }: { kit: Kit; family: Family }) {
  const model = fitFamily(family.id, {})
  if (!model.ok) return null
  return (
    <section aria-label="Tape">
      <h2>The tape’s words, {family.title}</h2>
      <Ruled>
        <tbody>
          {vocabulary({ kit, model: model.value }).map((each) => (
            <tr key={each.word}>
              <td>
                <b>{each.word}</b>
              </td>
              <td>{each.means}</td>
              <td>
                <Slate>{each.form}</Slate>
              </td>
            </tr>
          ))}
        </tbody>
      </Ruled>
    </section>
  )
}
