import { always, definePanel } from '../define-panel.ts'

export const panel = definePanel({ order: 20, stations: ['prove'], serves: always })
