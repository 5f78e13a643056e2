import { definePanel } from '../define-panel.ts'
import { bitesOnRim } from './bites-on-rim.ts'

export const panel = definePanel({ order: 40, stations: ['bite', 'centre'], serves: bitesOnRim })
