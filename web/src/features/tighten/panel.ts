import { always, definePanel } from '../define-panel.ts'

export const panel = definePanel({
  order: 10,
  stations: ['tighten'],
  serves: always,
  bench: { label: 'every fastener with its figure', claims: always },
})
