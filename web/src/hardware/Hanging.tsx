import type { End } from '@overhaul/core/brake/dimension'
import type { BicycleRecord, BrakeRecord } from '@overhaul/core/http/contract'
import { FAMILIES } from '@overhaul/core/workshop/families'
import { useState } from 'react'
import { Link } from 'react-router'
import styled from 'styled-components'
import { change } from '../data/changes.ts'
import { newId } from '../data/ids.ts'
import { Choose } from '../ui/Choose.tsx'
import { Row } from '../ui/layout.ts'
import { Press } from '../ui/Press.tsx'
import { Label, Slate } from '../ui/words.tsx'

const Place = styled.section`
  display: grid;
  gap: 8px;
  border-top: 1px solid var(--rule);
  padding-top: 12px;
`

const titleOf = (familyId: string): string => FAMILIES.find(({ id }) => id === familyId)?.title ?? familyId

interface Props {
  readonly bicycle: BicycleRecord
  readonly end: End
  readonly hanging: BrakeRecord | undefined
}

/** Another brake at this end: a new one of any family, or one that hung here before. What hangs there now keeps its jobs. */
export function Hanging({ bicycle, end, hanging }: Props) {
  const [familyId, setFamilyId] = useState(hanging?.hardware.family ?? FAMILIES[0]?.id ?? '')
  const path = `bicycles/${bicycle.id}/ends/${end}`
  const before = { method: 'PUT', path, body: { brakeId: hanging?.id ?? null } } as const
  const hang = (brakeId: string, family: string, hardware?: object) =>
    change({
      method: 'PUT',
      path,
      body: { brakeId, ...(hardware && { hardware }) },
      about: bicycle.id,
      says: `${bicycle.name} ${end}: a ${titleOf(family)} brake${hanging ? `, the ${titleOf(hanging.hardware.family)} is retired` : ''}`,
      undo: [before],
    })
  const former = bicycle.brakes.filter((each) => each.end === end && each.retiredAt !== null)
  return (
    <Place aria-label={`Another brake, ${end}`}>
      <Label>
        {hanging ? 'Replace it by another brake' : `No brake hangs in ${end === 'front' ? 'front' : 'the rear'}`}
      </Label>
      <Row>
        <Choose label={`New brake, ${end}`} unseen options={FAMILIES} value={familyId} onChange={setFamilyId} />
        <Press onPress={() => hang(newId(), familyId, { family: familyId, dimensions: {} })}>Hang a new one</Press>
      </Row>
      {hanging && <Slate>The one that hangs here is put by with its jobs, and can be hung back.</Slate>}
      {former.map((each) => (
        <Row key={each.id}>
          <span>
            {titleOf(each.hardware.family)}, hung here before{each.jobs.length > 0 && ', jobs '}
            {each.jobs.map((job, index) => (
              <span key={job.id}>
                {index > 0 && ', '}
                <Link to={`/stand/${job.id}`}>{job.number}</Link>
              </span>
            ))}
          </span>
          <Press onPress={() => hang(each.id, each.hardware.family)}>Hang it back</Press>
        </Row>
      ))}
    </Place>
  )
}
