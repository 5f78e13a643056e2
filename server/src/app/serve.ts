import { createServer, type Server } from 'node:http'
import type { AddressInfo } from 'node:net'
import { type Outcome, ok, refuse } from '@overhaul/core/outcome/outcome'
import { backUpDaily } from '../db/backups.ts'
import { isUntouched, openStore } from '../db/store.ts'
import { Drawer } from '../drawer/drawer.ts'
import { Ledger } from '../jobs/ledger.ts'
import { Streams } from '../jobs/stream.ts'
import { Workers } from '../workers/workers.ts'
import { createApp } from './app.ts'
import { Door } from './door.ts'
import { networkAddresses } from './guard.ts'
import type { Settings } from './settings.ts'

export interface Workshop {
  readonly port: number
  /** Where it answers, as a browser writes it; this machine’s own first. */
  readonly places: readonly string[]
  /** By which another screen comes in to write, where it is shared. */
  readonly code?: string
  readonly close: () => Promise<void>
}

/** Takes the port before anything is written: one that is taken leaves nothing behind. */
function listen(server: Server, { port, host }: Settings): Promise<Outcome<number>> {
  return new Promise((resolve) => {
    server.once('error', (error: NodeJS.ErrnoException) => {
      resolve(
        error.code === 'EADDRINUSE'
          ? refuse(
              'port-taken',
              'OVERHAUL_PORT',
              `Port ${port} is taken. Is Overhaul running already? Choose another with OVERHAUL_PORT.`,
            )
          : refuse('cannot-listen', 'OVERHAUL_HOST', `Cannot listen on ${host}:${port} (${error.code}).`),
      )
    })
    server.listen(port, host, () => resolve(ok((server.address() as AddressInfo).port)))
  })
}

const isEvery = (host: string): boolean => host === '0.0.0.0' || host === '::'

/** Where a host answers on the workshop’s network: at all of this machine’s addresses, or at the one it was given. */
const answering = (host: string): readonly string[] =>
  isEvery(host) ? networkAddresses() : [host.includes(':') ? `[${host}]` : host]

/** A workshop’s screens need some tens; of a thousand files that a process may open, the data and its workers need the rest. */
const MOST_CONNECTIONS = 400

const STARTING = JSON.stringify({
  error: { code: 'starting', field: '', message: 'Overhaul is starting. Try again in a moment.' },
})

/** Opens the data, with the demo on its very first start, and serves it. Refuses, with a sentence, data it cannot use and a port that is taken. */
export async function serve(settings: Settings, web?: string): Promise<Outcome<Workshop>> {
  const server = createServer((_request, response) => {
    response.writeHead(503, { 'Content-Type': 'application/json', 'Retry-After': '1' }).end(STARTING)
  })
  server.maxConnections = MOST_CONNECTIONS
  const listening = await listen(server, settings)
  if (!listening.ok) return listening
  const hangUp = () => {
    server.closeAllConnections()
    return new Promise((resolve) => server.close(resolve))
  }
  const letGo = async (outcome: Outcome<never>) => {
    await hangUp()
    return outcome
  }
  if (!settings.empty && isUntouched(settings.data)) {
    console.log('Hanging the demo workshop…')
    const { hangDemo } = await import('../demo/hang.ts')
    const hung = await hangDemo(settings.data)
    if (!hung.ok) return letGo(hung)
  }
  const store = await openStore(settings.data, settings)
  if (!store.ok) return letGo(store)
  const workers = new Workers(settings.data)
  const ledger = new Ledger(store.value, workers)
  const streams = new Streams()
  const drawer = new Drawer(store.value)
  const hosts = () => (settings.share ? [...networkAddresses(), settings.host] : [settings.host])
  const door = new Door(settings.data, settings.share)
  const places = () =>
    settings.share ? answering(settings.host).map((each) => `http://${each}:${listening.value}`) : []
  const app = createApp({
    store: store.value,
    workers,
    ledger,
    streams,
    drawer,
    hosts,
    door,
    places,
    ...(web && { web }),
  })
  server.removeAllListeners('request').on('request', app)
  ledger.begin()
  const stopBackups = backUpDaily(settings.data)
  return ok({
    port: listening.value,
    places: [
      ...(isEvery(settings.host) || !settings.share ? [`http://127.0.0.1:${listening.value}`] : []),
      ...places(),
    ],
    ...(settings.share && { code: door.codes.write }),
    async close() {
      await stopBackups()
      streams.close()
      await hangUp()
      await ledger.flush().catch((error) => console.error(error))
      await workers.close()
      await store.value.close()
    },
  })
}
