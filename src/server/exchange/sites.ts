import { randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import type { Customer, Site, SiteInput } from '@/domain/customers/customer'
import type { CustomerId, SiteId } from '@/domain/shared/ids'
import { badField } from '@/domain/shared/problems'
import {
  readSitesCsv,
  readSitesGeoJson,
  sitesCsv,
  sitesGeoJson,
  withCustomer,
  type SiteRow,
} from '@/domain/exchange/site-exchange'
import { assertMay, type Actor } from '@/server/platform/auth/actor'
import {
  insertCustomer,
  insertSite,
  listCustomers,
  listSites,
  updateCustomer,
  updateSite,
} from '@/server/customers/customer-repository'
import { inFirm } from '@/server/platform/db/firm-transaction'
import { listStations } from '@/server/season/weather-repository'
import { said } from '@/domain/shared/said'
import { rowProblemsInWords } from '@/messages/problem-body'
import { firmTexts } from '@/messages/texts'

async function sitesOf(actor: Actor) {
  assertMay(actor, 'visits.plan')
  return inFirm(actor.firmId, async (trx) => withCustomer(await listSites(trx), await listCustomers(trx)))
}

export const sitesAsCsv = async (actor: Actor): Promise<string> => sitesCsv(await sitesOf(actor))
export const sitesAsGeoJson = async (actor: Actor) => sitesGeoJson(await sitesOf(actor))

/** What a row of a file comes to. */
interface RowOutcome {
  readonly line: number
  readonly name: string
  readonly what: 'added' | 'changed' | 'same'
  /** Of a changed site: what changes. */
  readonly fields: readonly string[]
}

/**
 * Takes sites over from a file: a site of the same customer and name is changed in what the file speaks of, others
 * are added with their customers.
 * Contacts that are on file stay; only missing ones are filled in.
 * @param preview says what would come of it, and writes nothing
 */
export async function importSites(actor: Actor, format: 'csv' | 'geojson', text: string, preview = false) {
  assertMay(actor, 'ponds.write')
  assertMay(actor, 'visits.plan')
  return inFirm(actor.firmId, async (trx) => {
    const stations = await listStations(trx)
    if (stations.length === 0) throw badField('file', said('exchange.problems.weatherStationKnownYetEvery'))
    const file = (format === 'csv' ? readSitesCsv : readSitesGeoJson)(text, stations[0]!.id)
    const problems = [...file.problems]
    const customers = new Map((await listCustomers(trx)).map((c) => [c.name, c]))
    const sites = await listSites(trx)
    const rows: RowOutcome[] = []
    for (const row of file.rows) {
      if (!stations.some((s) => s.id === row.site.stationId)) {
        problems.push({
          line: row.line,
          message: said('exchange.problems.noSuchStation', {
            station: row.site.stationId,
            known: stations.map((s) => s.id).join(', '),
          }),
        })
        continue
      }
      const customer = customers.get(row.customer) ?? null
      const known = customer
        ? (sites.find((s) => s.customerId === customer.id && s.name === row.site.name) ?? null)
        : null
      rows.push({ line: row.line, name: `${row.customer}: ${row.site.name}`, ...whatComes(row, customer, known) })
      if (!preview) customers.set(row.customer, await write(trx, actor, row, customer, known))
    }
    const count = (what: RowOutcome['what']) => rows.filter((r) => r.what === what).length
    return {
      added: count('added'),
      changed: count('changed'),
      same: count('same'),
      rows,
      problems: rowProblemsInWords(problems, firmTexts()).sort((a, b) => a.line - b.line),
      preview,
    }
  })
}

const given = ({ site, given: fields }: SiteRow): Partial<SiteInput> =>
  Object.fromEntries(fields.map((field) => [field, site[field]]))

/** Contacts that are missing on file and stand in the row. */
const missingContacts = ({ email, phone }: SiteRow, customer: Customer): Partial<Customer> => ({
  ...(customer.email === '' && email !== '' ? { email } : {}),
  ...(customer.phone === '' && phone !== '' ? { phone } : {}),
})

function whatComes(row: SiteRow, customer: Customer | null, known: Site | null): Pick<RowOutcome, 'what' | 'fields'> {
  if (!customer || !known) return { what: 'added', fields: [] }
  const changed = Object.entries(given(row)).flatMap(([field, value]) =>
    JSON.stringify(known[field as keyof SiteInput]) === JSON.stringify(value) ? [] : [field],
  )
  const fields = [...changed, ...Object.keys(missingContacts(row, customer))]
  return { what: fields.length > 0 ? 'changed' : 'same', fields }
}

async function write(
  trx: Knex.Transaction,
  actor: Actor,
  row: SiteRow,
  customer: Customer | null,
  known: Site | null,
): Promise<Customer> {
  const mine = customer ?? (await addCustomer(trx, actor, row))
  const contacts = missingContacts(row, mine)
  if (Object.keys(contacts).length > 0) {
    const { id, version, ...fields } = mine
    await updateCustomer(trx, id, version, { ...fields, ...contacts })
    Object.assign(mine, contacts, { version: version + 1 })
  }
  if (!known) await insertSite(trx, actor.firmId, randomUUID() as SiteId, mine.id, row.site)
  else if (whatComes(row, mine, known).what === 'changed') {
    const { id, customerId: _customer, version, ...fields } = known
    await updateSite(trx, id, version, { ...fields, ...given(row) })
  }
  return mine
}

async function addCustomer(
  trx: Knex.Transaction,
  actor: Actor,
  { customer: name, email, phone }: SiteRow,
): Promise<Customer> {
  const id = randomUUID() as CustomerId
  await insertCustomer(trx, actor.firmId, id, { name, email, phone })
  return { id, version: 1, name, email, phone }
}
