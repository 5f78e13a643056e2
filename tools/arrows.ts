/** A folder of the house and the folders it may import from. What is not listed is not allowed. */
export type Arrows = Readonly<Record<string, readonly string[]>>

const PHYSICS = ['outcome', 'quantity', 'calculation', 'mechanics', 'linkages', 'reference', 'calculations'] as const
const CAPABILITIES = ['cable', 'lever-fit', 'match', 'mount', 'pads', 'stack'] as const
const OWN_STAND = [...PHYSICS, 'brake', 'bench', ...CAPABILITIES] as const

/** Inside the core, from the ground up: physics, what a brake is, capabilities, families, and the rooms above them. */
export const CORE: Arrows = {
  outcome: [],
  quantity: ['outcome'],
  calculation: ['outcome'],
  mechanics: [],
  linkages: ['outcome', 'mechanics'],
  reference: ['outcome', 'calculation'],
  calculations: ['outcome', 'calculation', 'mechanics', 'linkages', 'reference'],
  brake: ['outcome', 'quantity', 'calculation', 'mechanics', 'reference'],
  drawer: ['outcome', 'quantity'],
  stand: ['outcome', 'quantity', 'reference', 'brake'],
  match: ['outcome', 'calculation', 'calculations', 'mechanics', 'brake'],
  cable: ['outcome', 'calculation', 'calculations', 'brake', 'match'],
  prove: ['outcome', 'quantity', 'calculation', 'calculations', 'mechanics', 'reference', 'brake', 'stand'],
  'lever-fit': ['outcome', 'calculation', 'calculations', 'brake', 'stand', 'match'],
  bench: ['quantity', 'calculation', 'reference', 'brake', 'cable', 'lever-fit', 'match', 'prove'],
  mount: ['outcome', 'calculation', 'calculations', 'reference', 'drawer', 'brake', 'bench'],
  stack: ['outcome', 'calculation', 'calculations', 'drawer', 'brake', 'bench'],
  pads: ['outcome', 'calculation', 'calculations', 'drawer', 'brake', 'stand', 'cable'],
  'families/rim': OWN_STAND,
  'families/disc': OWN_STAND,
  'families/drum': OWN_STAND,
  'families/linear-pull': [...OWN_STAND, 'families/rim'],
  'families/cantilever': [...OWN_STAND, 'families/rim'],
  'families/centre-pull': [...OWN_STAND, 'families/rim'],
  'families/dual-pivot': [...OWN_STAND, 'families/rim'],
  'families/single-pivot': [...OWN_STAND, 'families/rim'],
  'dial-in': ['brake', 'stand'],
  'run-sheet': [
    'outcome',
    'quantity',
    'reference',
    'brake',
    'stand',
    'bench',
    'cable',
    'lever-fit',
    'prove',
    'dial-in',
  ],
  tape: ['outcome', 'quantity', 'brake', 'stand'],
  sheet: ['quantity', 'calculation', 'reference', 'brake', 'bench', 'prove', 'stand', 'run-sheet', 'dial-in'],
  simulate: ['outcome', 'mechanics', 'linkages', 'brake', 'stand'],
  passes: ['outcome', 'brake', 'stand', 'dial-in', 'simulate', 'workshop'],
  workshop: [
    'outcome',
    'reference',
    'brake',
    'bench',
    'stand',
    'dial-in',
    'run-sheet',
    'families/disc',
    'families/drum',
    'families/linear-pull',
    'families/cantilever',
    'families/centre-pull',
    'families/dual-pivot',
    'families/single-pivot',
  ],
}

/** Inside the web. All of it may use the core by name; `features` are found by their folders, the Stand only lists them. */
export const WEB: Arrows = {
  main: ['app', 'data'],
  app: ['data'],
  door: ['data', 'ui'],
  data: ['app'],
  ui: ['app'],
  drawing: [],
  drafts: ['data'],
  waiting: ['data', 'ui'],
  tape: ['app', 'data', 'ui'],
  features: ['app', 'data', 'drafts', 'drawing', 'ui', 'waiting'],
  stand: ['app', 'data', 'drafts', 'drawing', 'features', 'tape', 'ui'],
  hardware: ['app', 'data', 'drafts', 'drawing', 'ui', 'waiting'],
  rack: ['app', 'data', 'drawing', 'ui', 'waiting'],
  drawer: ['app', 'data', 'drafts', 'drawing', 'ui', 'waiting'],
  handbook: ['app', 'data', 'drawing', 'ui'],
  print: ['app', 'data', 'drawing', 'ui'],
}

/** Inside the server: one folder a resource. */
export const SERVER: Arrows = {
  main: ['app'],
  app: ['bicycles', 'brakes', 'calculations', 'db', 'drawer', 'families', 'jobs', 'rail', 'tags', 'workers'],
  db: [],
  bench: ['app', 'db', 'drawer', 'print', 'workers'],
  rail: ['app', 'bench', 'db', 'drawer', 'workers'],
  workers: ['bench', 'db', 'print', 'rail'],
  print: [],
  bicycles: ['app', 'brakes', 'db', 'jobs', 'rail', 'workers'],
  brakes: ['app', 'db', 'jobs'],
  calculations: ['app'],
  drawer: ['app', 'db', 'workers'],
  families: [],
  jobs: ['app', 'bench', 'db', 'rail', 'tags', 'workers'],
  tags: ['app', 'db'],
  demo: ['db'],
}

/** Rooms that know brakes only through their interface: no name of any one kind of brake stands in them. */
export const KNOW_NO_BRAKE = [
  'core/src/dial-in',
  'core/src/run-sheet',
  'core/src/tape',
  'core/src/sheet',
  'web/src/stand',
  'web/src/drawing',
] as const
