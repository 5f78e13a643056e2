import type { Source } from '../calculation/source.ts'

/** Friction left of a pad in the wet, as a share of its friction dry. */
export interface WetShare {
  readonly share: number
  readonly source: Source
}

const MEMORY = (title: string): Source => ({ kind: 'from-memory', title })

/**
 * How much of its dry friction a pad keeps on a wet rim. Ordinary rubber on wet steel keeps very little; pads made for
 * steel keep more. From memory, after the wet brake tests told in Wilson, *Bicycling Science*.
 */
export function wetShare(rim: string | undefined, pads: string | undefined): WetShare {
  if (rim === 'steel')
    return pads === 'steel'
      ? { share: 0.35, source: MEMORY('Pads for steel keep about a third of their friction on a wet steel rim') }
      : { share: 0.15, source: MEMORY('Ordinary pads keep about a seventh of their friction on a wet steel rim') }
  if (rim === 'carbon')
    return { share: 0.4, source: MEMORY('Pads keep about two fifths of their friction on a wet carbon rim') }
  return { share: 0.5, source: MEMORY('Pads keep about half of their friction on a wet alloy rim') }
}
