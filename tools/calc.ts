import { CALCULATIONS, work } from '@overhaul/core/calculations/registry'
import type { Fault } from '@overhaul/core/outcome/outcome'

/** `npm run -s calc -- <id> '<json inputs>'`: outputs as JSON; `--working` adds inputs, worked lines and sources. */
const args = process.argv.slice(2)
const working = args.includes('--working')
const [id, text] = args.filter((arg) => arg !== '--working')

const fail = ({ code, field, message }: Fault) => {
  console.log(JSON.stringify({ error: { code, field, message } }))
  process.exit(2)
}

function parse(json: string): unknown {
  try {
    return JSON.parse(json)
  } catch {
    return fail({ code: 'broken-json', field: 'inputs', message: `The inputs are not JSON: ${json}` })
  }
}

if (id === undefined) {
  for (const each of CALCULATIONS) console.log(`${each.id.padEnd(18)} ${each.title}`)
} else {
  const result = work(id, parse(text ?? '{}'))
  if (!result.ok) fail(result.error)
  else console.log(JSON.stringify(working ? result.value : result.value.outputs))
}
