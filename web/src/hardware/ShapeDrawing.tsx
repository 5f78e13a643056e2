import type { Family } from '@overhaul/core/brake/family'
import type { BrakeModel } from '@overhaul/core/brake/model'
import { useMemo } from 'react'
import styled from 'styled-components'
import { changeSettings, useMedia, useSettings } from '../app/settings.ts'
import { PHONE, phone, upright } from '../app/theme.ts'
import { BrakeDrawing } from '../drawing/BrakeDrawing.tsx'
import { Hatches } from '../drawing/Hatches.tsx'
import { scaleBar } from '../drawing/ScaleBar.tsx'
import { frameOf } from './figures.ts'

const Place = styled.div`
  position: sticky;
  top: 0;
  aspect-ratio: 770 / 446;
  width: 100%;
  ${upright} {
    position: static;
  }
  ${phone} {
    aspect-ratio: auto;
  }
`
interface Props {
  readonly family: Family
  readonly model: BrakeModel
  readonly inHand: string | undefined
  readonly said: string
}

/** The brake as its figures say, to scale, with what the field in hand is measured between. */
export function ShapeDrawing({ family, model, inHand, said }: Props) {
  const { flipped, length } = useSettings()
  const narrow = useMedia(PHONE)
  const frame = useMemo(() => ({ ...frameOf(model, inHand), insets: [] }), [model, inHand])
  return (
    <Place>
      <Hatches />
      <BrakeDrawing
        frame={frame}
        ghosts={[]}
        leaders={[]}
        notes={[]}
        flipped={flipped}
        narrow={narrow}
        scaleBar={scaleBar(length)}
        caption={said}
        onFlip={() => changeSettings({ flipped: !flipped })}
        nameOf={(id) => family.dimensions.find((each) => each.id === id)?.title ?? id}
        onPick={(id) => document.querySelector<HTMLInputElement>(`[data-draft-of="${id}"]`)?.focus()}
      />
    </Place>
  )
}
