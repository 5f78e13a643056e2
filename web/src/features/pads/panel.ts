import { definePanel } from '../define-panel.ts'

export const panel = definePanel({ order: 10, stations: ['pads'], serves: ({ model }) => model.padArm !== undefined })
