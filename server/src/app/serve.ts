import { createServer } from 'node:http'
import type { AddressInfo } from 'node:net'
import { type Outcome, ok, refuse } from '@overhaul/core/outcome/outcome'
import { openStore } from '../db/store.ts'
import { Drawer } from '../drawer/drawer.ts'
import { Ledger } from '../jobs/ledger.ts'
import { Streams } from '../jobs/stream.ts'
import { createApp } from './app.ts'
import { networkAddresses } from './guard.ts'
import type { Settings } from './settings.ts'

export interface Workshop {
  readonly port: number
  /** True when this start made the data. */
  readonly isNew: boolean
  readonly close: () => Promise<void>
}

/** Opens the data and serves it. Refuses, with a sentence, data it cannot use and a port that is taken. */
export async function serve(settings: Settings, web?: string): Promise<Outcome<Workshop>> {
  const store = await openStore(settings.data)
  if (!store.ok) return store
  const ledger = new Ledger(store.value)
  const streams = new Streams()
  const drawer = new Drawer(store.value)
  const hosts = settings.share ? networkAddresses() : [settings.host]
  const server = createServer(createApp({ store: store.value, ledger, streams, drawer, hosts, ...(web && { web }) }))
  const listening = await new Promise<Outcome<number>>((resolve) => {
    server.once('error', (error: NodeJS.ErrnoException) => {
      resolve(
        error.code === 'EADDRINUSE'
          ? refuse(
              'port-taken',
              'OVERHAUL_PORT',
              `Port ${settings.port} is taken. Is Overhaul running already? Choose another with OVERHAUL_PORT.`,
            )
          : refuse(
              'cannot-listen',
              'OVERHAUL_HOST',
              `Cannot listen on ${settings.host}:${settings.port} (${error.code}).`,
            ),
      )
    })
    server.listen(settings.port, settings.host, () => resolve(ok((server.address() as AddressInfo).port)))
  })
  if (!listening.ok) {
    store.value.close()
    return listening
  }
  return ok({
    port: listening.value,
    isNew: store.value.isNew,
    async close() {
      streams.close()
      server.closeAllConnections()
      await new Promise((resolve) => server.close(resolve))
      await ledger.flush()
      store.value.close()
    },
  })
}
