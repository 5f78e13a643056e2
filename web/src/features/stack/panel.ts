import { definePanel } from '../define-panel.ts'
import { isStacked, isStackInHand } from './is-stacked.ts'

export const panel = definePanel({
  order: 20,
  stations: ['mount'],
  serves: isStacked,
  bench: { label: 'bracket and spacers as planned', claims: isStackInHand },
})
