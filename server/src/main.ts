import { networkAddresses } from './app/guard.ts'
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
    const { port, close } = workshop.value
    const stop = () => {
      close().then(() => process.exit(0))
    }
    process.on('SIGINT', stop)
    process.on('SIGTERM', stop)
    const shared = settings.value.share ? networkAddresses().map((address) => ` and http://${address}:${port}`) : []
    console.log(`Overhaul is open at http://127.0.0.1:${port}${shared.join('')}`)
  }
}
