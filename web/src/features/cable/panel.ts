import { always, definePanel } from '../define-panel.ts'

export const panel = definePanel({ order: 10, stations: ['cable'], serves: always })
