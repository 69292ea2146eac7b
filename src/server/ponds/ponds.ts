import { randomUUID } from 'node:crypto'
import type { BasinProblem } from '@/core/survey/basin'
import type { CustomerId, PondId, SiteId } from '@/domain/shared/ids'
import type { NewPondInput } from '@/domain/customers/customer'
import type { PondInContext, PondInput } from '@/domain/ponds/pond'
import { pondFacts, type PondFacts } from '@/domain/ponds/pond-facts'
import type { OwnConstants } from '@/domain/house-rules/house-constants'
import type { OwnRules } from '@/domain/house-rules/house-rules'
import { badField, notFound } from '@/domain/shared/problems'
import { basinProblemSaid } from '@/domain/survey/survey-problem'
import { assertMay, type Actor } from '@/server/platform/auth/actor'
import {
  customerExists,
  findSite,
  insertCustomer,
  insertSite,
  listCustomers,
  listSites,
} from '@/server/customers/customer-repository'
import { assertAgree } from '@/server/house-rules/filter-rules'
import { findHouseConstants } from '@/server/house-rules/house-constants-repository'
import { findFirm } from '@/server/firm/firm-repository'
import { inFirm } from '@/server/platform/db/firm-transaction'
import {
  findPond,
  insertPond,
  listPonds,
  updateOwnConstants,
  updateOwnRules,
  updatePond,
  type PondSummary,
} from '@/server/ponds/pond-repository'
import { listPondStates } from '@/server/ponds/pond-state-repository'
import { forecastsSince } from '@/server/forecasts/forecasts'
import { todayIn } from '@/server/platform/today'
import type { PondState } from '@/domain/ponds/pond-state'
import { seasonOf } from '@/server/season/season'
import { weather } from '@/server/season/weather'
import { said } from '@/domain/shared/said'

/** Least and most water that is believed; outside it a figure was mistyped. @throws {ProblemError} */
const BELIEVABLE_M3 = [0.02, 50_000] as const

function checkedFacts(input: PondInput, pathPrefix: string): PondFacts {
  const facts = pondFacts(input)
  if (!facts.ok) throw badField(pathPrefix + problemPath(facts.problem, input.zones), basinProblemSaid(facts.problem))
  const volume = facts.value.basin.waterM3
  if (volume < BELIEVABLE_M3[0] || volume > BELIEVABLE_M3[1])
    throw badField(
      `${pathPrefix}outline`,
      said('ponds.problems.figuresMakeWaterPondHolds', {
        volume: volume < 1 ? `${(volume * 1000).toFixed(1)} litres` : `${Math.round(volume)} m³`,
      }),
    )
  return facts.value
}

const problemPath = (problem: BasinProblem, zones: PondInput['zones']): string => {
  switch (problem.code) {
    case 'outline-crosses':
      return 'outline'
    case 'zone-not-deeper':
      return `zones.${problem.zone}.floorDepthM`
    case 'zone-wider-than-above':
      return `zones.${problem.zone}.${zones[problem.zone]!.insetM == null ? 'surfaceShare' : 'insetM'}`
    case 'slope-closes':
      return `zones.${problem.zone}.sideSlope`
  }
}

const measures = (facts: PondFacts) => ({ volumeM3: facts.adopted.volumeM3, areaM2: facts.basin.areaM2 })

/** Saves a new pond, with a new customer and site where they are new. */
export async function addPond(actor: Actor, input: NewPondInput): Promise<PondId> {
  assertMay(actor, 'ponds.write')
  const facts = checkedFacts(input.pond, 'pond.')
  const { stations } = await weather()
  return inFirm(actor.firmId, async (trx) => {
    const customerId = input.customer.kind === 'existing' ? input.customer.id : (randomUUID() as CustomerId)
    if (input.customer.kind === 'new') await insertCustomer(trx, actor.firmId, customerId, input.customer.customer)
    else if (!(await customerExists(trx, customerId))) throw notFound('customer')
    const siteId = input.site.kind === 'existing' ? input.site.id : (randomUUID() as SiteId)
    if (input.site.kind === 'new') await insertSite(trx, actor.firmId, siteId, customerId, input.site.site)
    else {
      const site = await findSite(trx, siteId)
      if (!site) throw notFound('site')
      if (site.customerId !== customerId) throw badField('site', said('ponds.problems.siteBelongsAnotherCustomer'))
    }
    const pondId = randomUUID() as PondId
    await insertPond(trx, actor.firmId, pondId, siteId, input.pond, measures(facts))
    const pond = await findPond(trx, pondId)
    await seasonOf(trx, actor.firmId, pond!, (await findFirm(trx)).rules, stations)
    return pondId
  })
}

/** Saves a changed survey. @throws {ProblemError} 'conflict' with what stands now when someone else saved first */
export async function changePond(actor: Actor, id: PondId, version: number, input: PondInput): Promise<void> {
  assertMay(actor, 'ponds.write')
  const facts = checkedFacts(input, '')
  const { stations } = await weather()
  await inFirm(actor.firmId, async (trx) => {
    if (!(await findPond(trx, id))) throw notFound('pond')
    await updatePond(trx, id, version, input, measures(facts))
    await seasonOf(trx, actor.firmId, (await findPond(trx, id))!, (await findFirm(trx)).rules, stations)
  })
}

/** A pond in one line, with how it stands today. */
export type PondLine = PondSummary & PondState

export async function pondList(actor: Actor): Promise<PondLine[]> {
  assertMay(actor, 'ponds.read')
  return inFirm(actor.firmId, async (trx) => {
    const ponds = await listPonds(trx)
    const states = await listPondStates(
      trx,
      ponds.map(({ id }) => id),
      { today: todayIn(actor.timeZone), since: forecastsSince() },
    )
    return ponds.map((pond) => ({ ...pond, ...states.get(pond.id)! }))
  })
}

/** Customers and sites to choose from when a pond is added, and the weather stations a site can follow. */
export async function placesForNewPond(actor: Actor) {
  assertMay(actor, 'ponds.write')
  const { stations } = await weather()
  return inFirm(actor.firmId, async (trx) => ({
    customers: await listCustomers(trx),
    sites: await listSites(trx),
    stations: stations.map(({ id, name, normals }) => ({ id, name, altitudeM: normals.altitudeM })),
  }))
}

export async function pondForEdit(actor: Actor, id: PondId): Promise<PondInContext> {
  assertMay(actor, 'ponds.write')
  return inFirm(actor.firmId, async (trx) => {
    const pond = await findPond(trx, id)
    if (!pond) throw notFound('pond')
    return pond
  })
}

/** The house's answers and where this pond goes another way. */
export async function pondRules(actor: Actor, id: PondId) {
  assertMay(actor, 'ponds.read')
  return inFirm(actor.firmId, async (trx) => {
    const pond = await findPond(trx, id)
    if (!pond) throw notFound('pond')
    return { pond, house: (await findFirm(trx)).rules, houseConstants: (await findHouseConstants(trx)).constants }
  })
}

export async function setPondRules(actor: Actor, id: PondId, version: number, own: OwnRules): Promise<void> {
  assertMay(actor, 'designs.write')
  const { stations } = await weather()
  await inFirm(actor.firmId, async (trx) => {
    if (!(await findPond(trx, id))) throw notFound('pond')
    await updateOwnRules(trx, id, version, own)
    await seasonOf(trx, actor.firmId, (await findPond(trx, id))!, (await findFirm(trx)).rules, stations)
  })
}

/** Figures that this pond's filter is worked out by in place of the house's. */
export async function setPondConstants(actor: Actor, id: PondId, version: number, own: OwnConstants): Promise<void> {
  assertMay(actor, 'designs.write')
  await inFirm(actor.firmId, async (trx) => {
    const pond = await findPond(trx, id)
    if (!pond) throw notFound('pond')
    await assertAgree(trx, pond, own)
    await updateOwnConstants(trx, id, version, own)
  })
}
