import { definePanel, reads } from '../define-panel.ts'

export const panel = definePanel({ order: 20, stations: ['match'], serves: reads('armApplied') })
