import { definePanel, reads } from '../define-panel.ts'

export const panel = definePanel({ order: 30, stations: ['pads'], serves: reads('armApplied') })
