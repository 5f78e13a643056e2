import { hasStraddle } from '@overhaul/core/features/cable/straddle'
import { definePanel } from '../define-panel.ts'

export const panel = definePanel({
  order: 30,
  stations: ['match', 'bite'],
  serves: ({ family }) => hasStraddle(family),
})
