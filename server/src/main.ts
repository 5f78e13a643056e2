import { WEB } from './app/paths.ts'
import { serve } from './app/serve.ts'
import { readSettings } from './app/settings.ts'

const fail = (message: string): never => {
  console.error(message)
  process.exit(1)
}

const settings = readSettings(process.env, process.argv.slice(2))
if (!settings.ok) fail(settings.error.message)
else {
  const workshop = await serve(settings.value, WEB)
  if (!workshop.ok) fail(workshop.error.message)
  else {
    const { places, code, close } = workshop.value
    const stop = () => {
      close().then(() => process.exit(0))
    }
    process.on('SIGINT', stop)
    process.on('SIGTERM', stop)
    const lets = code ? `; another screen comes in by the code ${code.slice(0, 4)} ${code.slice(4)}` : ''
    console.log(`Overhaul is open at ${places.join(' and ')}${lets}`)
  }
}
