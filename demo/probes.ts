import type { Actor } from '../src/server/platform/auth/actor'
import { findActor } from '../src/server/platform/auth/sessions'
import { signIn } from '../src/server/platform/auth/sign-in'
import { closeDatabase } from '../src/server/platform/db/connection'
import { endApiKey, makeApiKey } from '../src/server/firm/api-keys'
import { exchangePage } from '../src/server/exchange/exchange-page'
import { pondList } from '../src/server/ponds/ponds'
import { DEMO_PASSWORD, PEOPLE } from './people'

const NAME = 'Probes of the demo'
/** Ponds whose owners have bought probes. */
const SITES_WITH_PROBES = ['Highcairn House', 'Brewery yard']

/**
 * A fresh key for the probes stand-in, in place of the last start's, and the ponds they hang in; as JSON for who
 * starts them.
 */
async function probes(): Promise<void> {
  const owner: Actor = (await findActor(await signIn({ email: PEOPLE[0]!.email, password: DEMO_PASSWORD })))!
  for (const key of (await exchangePage(owner)).keys ?? []) if (key.name === NAME) await endApiKey(owner, key.id)
  const { token } = await makeApiKey(owner, { name: NAME, scope: 'readings' })
  const ponds = (await pondList(owner)).filter((p) => SITES_WITH_PROBES.includes(p.siteName)).map((p) => p.id)
  process.stdout.write(JSON.stringify({ apiKey: token, ponds }))
}

await probes()
await closeDatabase()
