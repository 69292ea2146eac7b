import type { Actor } from '../../src/server/platform/auth/actor'
import { inFirm } from '../../src/server/platform/db/firm-transaction'
import { listCrews } from '../../src/server/people/people-repository'
import { SITES } from '../all-sites'
import { PEOPLE } from '../people'
import type { StoriesFirm } from '../stories'
import { buildFilters } from './built'
import { ALL_CREWS, LIVING_PEOPLE } from './people'
import { driveRounds } from './rounds'

/** Filters, plants and equipment at the ponds of the stories that have none from their story. */
export async function buildAtStories({ owner, ponds }: StoriesFirm, today: string): Promise<void> {
  const stories = SITES.flatMap((site) => site.ponds).map((pond) => ({ ...pond, id: ponds.get(pond.key)! }))
  await buildFilters(owner, stories, today)
}

/** The whole firm at work: rounds to all ponds, up to this minute. */
export async function firmAtWork(owner: Actor, now: Date): Promise<void> {
  const crews = new Map((await inFirm(owner.firmId, listCrews)).map(({ id, name }) => [name, id]))
  await driveRounds({ owner, crews, leads: leadsOf() }, now)
}

/** Who writes each crew's logs. */
const leadsOf = (): ReadonlyMap<string, string> =>
  new Map(
    ALL_CREWS.map((crew) => [
      crew,
      [...PEOPLE, ...LIVING_PEOPLE].find((p) => p.role === 'crew-lead' && p.crew === crew)!.email,
    ]),
  )
