import type { CustomerInput, SiteInput } from '@/domain/customers/customer'
import type { CustomerId, SiteId } from '@/domain/shared/ids'
import { badField, notFound } from '@/domain/shared/problems'
import { assertMay, type Actor } from '@/server/platform/auth/actor'
import { listCustomerLinks } from '@/server/customers/customer-link-repository'
import { listCustomerLines, type CustomerLine } from '@/server/customers/customer-line-repository'
import {
  customerExists,
  findCustomer,
  findSite,
  listSites,
  updateCustomer,
  updateSite,
} from '@/server/customers/customer-repository'
import { forecastsSince } from '@/server/forecasts/forecasts'
import { inFirm } from '@/server/platform/db/firm-transaction'
import { todayIn } from '@/server/platform/today'
import { listPonds } from '@/server/ponds/pond-repository'
import { listPondStates } from '@/server/ponds/pond-state-repository'
import { listProposalLines } from '@/server/proposals/proposal-repository'
import { listVisitLinesOf } from '@/server/visits/visit-line-repository'
import { listPlanningPonds } from '@/server/schedule/planning-repository'
import { listStations } from '@/server/season/weather-repository'
import { said } from '@/domain/shared/said'

/** All customers, each in a line: what helps decide whom to see to. */
export async function customerList(actor: Actor): Promise<CustomerLine[]> {
  assertMay(actor, 'visits.plan')
  return inFirm(actor.firmId, (trx) => listCustomerLines(trx, todayIn(actor.timeZone)))
}

/** A customer with sites, ponds as they stand, visits, proposals, and the link to the page of their own. */
export async function customerOnFile(actor: Actor, id: CustomerId) {
  assertMay(actor, 'visits.plan')
  return inFirm(actor.firmId, async (trx) => {
    const customer = await findCustomer(trx, id)
    if (!customer) throw notFound('customer')
    const today = todayIn(actor.timeZone)
    const sites = await listSites(trx, id)
    const ponds = await listPonds(trx, id)
    const pondIds = ponds.map((p) => p.id)
    const states = await listPondStates(trx, pondIds, { today, since: forecastsSince() })
    const plans = await listPlanningPonds(trx, pondIds)
    return {
      today,
      stations: (await listStations(trx)).map(({ id: stationId, name }) => ({ id: stationId, name })),
      customer: {
        ...customer,
        /** The secret of the link to their own page, where there is one. */
        link: (await listCustomerLinks(trx)).get(id) ?? null,
      },
      sites: sites.map((site) => ({
        ...site,
        ponds: ponds
          .filter((p) => p.siteId === site.id)
          .map((p) => ({
            id: p.id,
            name: p.name,
            state: states.get(p.id)!,
            jobs: plans.find((plan) => plan.pondId === p.id)?.lines.map((line) => line.job) ?? [],
          })),
      })),
      visits: await listVisitLinesOf(trx, pondIds),
      proposals: await listProposalLines(trx, pondIds),
    }
  })
}
export type CustomerOnFile = Awaited<ReturnType<typeof customerOnFile>>

export async function changeCustomer(
  actor: Actor,
  id: CustomerId,
  version: number,
  input: CustomerInput,
): Promise<void> {
  assertMay(actor, 'visits.plan')
  await inFirm(actor.firmId, async (trx) => {
    if (!(await customerExists(trx, id))) throw notFound('customer')
    await updateCustomer(trx, id, version, input)
  })
}

export async function changeSite(actor: Actor, id: SiteId, version: number, input: SiteInput): Promise<void> {
  assertMay(actor, 'visits.plan')
  await inFirm(actor.firmId, async (trx) => {
    if (!(await findSite(trx, id))) throw notFound('site')
    if (!(await listStations(trx)).some((s) => s.id === input.stationId))
      throw badField('site.stationId', said('customers.problems.chooseWeatherStation'))
    await updateSite(trx, id, version, input)
  })
}
