import type { CustomerInput, SiteInput } from '@/domain/customers/customer'
import type { CustomerId, SiteId } from '@/domain/shared/ids'
import { badField, notFound } from '@/domain/shared/problems'
import { assertMay, type Actor } from '@/server/platform/auth/actor'
import { listCustomerLinks } from '@/server/customers/customer-link-repository'
import {
  customerExists,
  findSite,
  listCustomers,
  listSites,
  updateCustomer,
  updateSite,
} from '@/server/customers/customer-repository'
import { inFirm } from '@/server/platform/db/firm-transaction'
import { listPlanningPonds } from '@/server/schedule/planning-repository'
import { listStations } from '@/server/season/weather-repository'
import { said } from '@/domain/shared/said'

/** Customers with their sites, ponds and what they have agreed to. */
export async function customersPage(actor: Actor) {
  assertMay(actor, 'visits.plan')
  return inFirm(actor.firmId, async (trx) => {
    const [sites, ponds] = [await listSites(trx), await listPlanningPonds(trx)]
    const links = await listCustomerLinks(trx)
    return {
      stations: (await listStations(trx)).map(({ id, name }) => ({ id, name })),
      customers: (await listCustomers(trx)).map((customer) => ({
        ...customer,
        /** The secret of the link to their own page, where there is one. */
        link: links.get(customer.id) ?? null,
        sites: sites
          .filter((s) => s.customerId === customer.id)
          .map((site) => ({
            ...site,
            ponds: ponds
              .filter((p) => p.siteId === site.id)
              .map((p) => ({ id: p.pondId, name: p.name, jobs: p.lines.map((line) => line.job) })),
          })),
      })),
    }
  })
}
export type CustomersData = Awaited<ReturnType<typeof customersPage>>

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
