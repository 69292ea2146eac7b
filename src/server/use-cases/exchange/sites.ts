import { randomUUID } from 'node:crypto'
import type { CustomerId, SiteId } from '@/domain/ids'
import { badField } from '@/domain/problems'
import { readSitesCsv, readSitesGeoJson, sitesCsv, sitesGeoJson, withCustomer } from '@/domain/site-exchange'
import { assertMay, type Actor } from '@/server/auth/actor'
import { insertCustomer, insertSite, listCustomers, listSites, updateSite } from '@/server/db/customer-repository'
import { inFirm } from '@/server/db/firm-transaction'
import { listStations } from '@/server/db/weather-repository'

async function sitesOf(actor: Actor) {
  assertMay(actor, 'visits.plan')
  return inFirm(actor.firmId, async (trx) => withCustomer(await listSites(trx), await listCustomers(trx)))
}

export const sitesAsCsv = async (actor: Actor): Promise<string> => sitesCsv(await sitesOf(actor))
export const sitesAsGeoJson = async (actor: Actor) => sitesGeoJson(await sitesOf(actor))

/** Takes sites over from a file: a site of the same customer and name is changed, others are added with their customers. Blackout days stay as they are. */
export async function importSites(actor: Actor, format: 'csv' | 'geojson', text: string) {
  assertMay(actor, 'ponds.write')
  assertMay(actor, 'visits.plan')
  return inFirm(actor.firmId, async (trx) => {
    const stations = await listStations(trx)
    if (stations.length === 0) throw badField('file', 'No weather station is known yet; sites follow one. Try again once the weather desk has answered.')
    const file = (format === 'csv' ? readSitesCsv : readSitesGeoJson)(text, stations[0].id)
    const problems = [...file.problems]
    const customers = new Map((await listCustomers(trx)).map((c) => [c.name, c.id]))
    const sites = await listSites(trx)
    let [added, changed] = [0, 0]
    for (const { line, customer, site } of file.rows) {
      if (!stations.some((s) => s.id === site.stationId)) {
        problems.push({ line, message: `station: there is no station “${site.stationId}”. Known: ${stations.map((s) => s.id).join(', ')}.` })
        continue
      }
      let customerId = customers.get(customer)
      if (!customerId) {
        customerId = randomUUID() as CustomerId
        await insertCustomer(trx, actor.firmId, customerId, { name: customer, email: '', phone: '' })
        customers.set(customer, customerId)
      }
      const known = sites.find((s) => s.customerId === customerId && s.name === site.name)
      if (known) {
        await updateSite(trx, known.id, known.version, { ...site, blackouts: known.blackouts })
        changed++
      } else {
        const id = randomUUID() as SiteId
        await insertSite(trx, actor.firmId, id, customerId, site)
        sites.push({ ...site, id, customerId, version: 1 })
        added++
      }
    }
    return { added, changed, problems }
  })
}
