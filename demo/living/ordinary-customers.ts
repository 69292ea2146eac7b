import type { CrewId, PondId } from '../../src/domain/shared/ids'
import type { Actor } from '../../src/server/platform/auth/actor'
import { inFirm } from '../../src/server/platform/db/firm-transaction'
import { addCrew, addPerson } from '../../src/server/firm/firm'
import { listCrews } from '../../src/server/people/people-repository'
import { setServicePlan } from '../../src/server/schedule/service-plans'
import { windowsOfPonds } from '../../src/server/season/windows-of-ponds'
import { DEMO_PASSWORD } from '../people'
import { addSites } from '../stories'
import { agreedFor } from './agreed'
import { buildFilters } from './built'
import { inLanes } from './in-lanes'
import { officeLife } from './office'
import { LIVING_PEOPLE, MORE_CREWS } from './people'
import { LIVING_SITES } from './sites'

const LANES = 3

/** The ordinary customers around the stories: what was built at their ponds, and what they have agreed to. */
export async function ordinaryCustomers(owner: Actor, today: string): Promise<void> {
  await addPeople(owner)
  const ids = new Map<string, PondId>()
  await inLanes(LIVING_SITES, LANES, async (site) => {
    for (const [key, id] of await addSites(owner, [site])) ids.set(key, id)
  })
  const ponds = LIVING_SITES.flatMap((site) => site.ponds).map((pond) => ({ ...pond, id: ids.get(pond.key)! }))
  await inLanes(ponds, LANES, ({ id, pond }) => setServicePlan(owner, id, 0, agreedFor(pond)))
  await windowsOfPonds(
    owner.firmId,
    ponds.map(({ id }) => id),
  )
  await buildFilters(owner, ponds, today)
  await officeLife(owner, ponds, today)
}

async function addPeople(owner: Actor): Promise<void> {
  for (const crew of MORE_CREWS) await addCrew(owner, crew)
  const crews = new Map<string, CrewId>(
    (await inFirm(owner.firmId, listCrews)).map(({ id, name }): [string, CrewId] => [name, id]),
  )
  for (const { crew, ...person } of LIVING_PEOPLE)
    await addPerson(owner, { ...person, crewId: crew ? crews.get(crew)! : null, password: DEMO_PASSWORD })
}
