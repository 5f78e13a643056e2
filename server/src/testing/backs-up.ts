import { expectOk } from '@overhaul/core/outcome/outcome'
import { backUp } from '../db/backups.ts'
import { restore } from '../db/restore.ts'
import { testWorkshop } from './workshop.ts'

/** A workshop that can be taken back to before something was done. */
export async function backsUp() {
  const shop = await testWorkshop()
  return {
    ...shop,
    async backThen(meanwhile: () => Promise<void>) {
      const from = expectOk(await backUp(shop.data))
      await meanwhile()
      await shop.restart(async () => {
        expectOk(await restore(shop.data, from))
      })
    },
  }
}
