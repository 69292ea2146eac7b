import type { RowOf } from '@/server/platform/db/column-types'
import type { Knex } from 'knex'
import type { Customer, CustomerInput, Site, SiteInput } from '@/domain/customers/customer'
import type { CustomerId, FirmId, SiteId } from '@/domain/shared/ids'
import { updateVersioned } from '@/server/platform/db/versioned-update'

declare module '@/server/platform/db/column-types' {
  interface ColumnTypes {
    sites: { closed_days: Site['closedDays']; blackouts: Site['blackouts']; school_holidays: Site['schoolHolidays'] }
  }
}

const CUSTOMER_COLUMNS = ['id', 'name', 'email', 'phone', 'version'] as const

export async function insertCustomer(
  trx: Knex.Transaction,
  firmId: FirmId,
  id: CustomerId,
  input: CustomerInput,
): Promise<void> {
  await trx('customers').insert({ id, firm_id: firmId, ...input })
}

export async function insertSite(
  trx: Knex.Transaction,
  firmId: FirmId,
  id: SiteId,
  customerId: CustomerId,
  input: SiteInput,
): Promise<void> {
  await trx('sites').insert({ id, firm_id: firmId, customer_id: customerId, ...siteRow(input) })
}

const siteRow = (input: SiteInput) => ({
  name: input.name,
  address: input.address,
  town: input.town,
  access_notes: input.accessNotes,
  station_id: input.stationId,
  lat: input.lat,
  lon: input.lon,
  opens: input.opens,
  closes: input.closes,
  closed_days: JSON.stringify(input.closedDays),
  blackouts: JSON.stringify(input.blackouts),
  school_holidays: input.schoolHolidays,
  fill_ph: input.fill.ph,
  fill_kh: input.fill.khDH,
  fill_gh: input.fill.ghDH,
  fill_nitrate: input.fill.nitrateMgL,
  fill_phosphate: input.fill.phosphateMgL,
  fill_chlorine: input.fill.chlorineMgL,
  fill_chloramine: input.fill.chloramineMgL,
})

export async function updateSite(trx: Knex.Transaction, id: SiteId, version: number, input: SiteInput): Promise<void> {
  await updateVersioned(trx, 'sites', id, version, siteRow(input), async () => findSite(trx, id))
}

export async function updateCustomer(
  trx: Knex.Transaction,
  id: CustomerId,
  version: number,
  input: CustomerInput,
): Promise<void> {
  await updateVersioned(trx, 'customers', id, version, { ...input }, async () => findCustomer(trx, id))
}

const toSite = (r: RowOf<'sites'>): Site => ({
  id: r.id,
  customerId: r.customer_id,
  name: r.name,
  address: r.address,
  town: r.town,
  accessNotes: r.access_notes,
  stationId: r.station_id,
  lat: r.lat,
  lon: r.lon,
  opens: r.opens,
  closes: r.closes,
  closedDays: r.closed_days,
  blackouts: r.blackouts,
  schoolHolidays: r.school_holidays,
  fill: {
    ph: r.fill_ph,
    khDH: r.fill_kh,
    ghDH: r.fill_gh,
    nitrateMgL: r.fill_nitrate,
    phosphateMgL: r.fill_phosphate,
    chlorineMgL: r.fill_chlorine,
    chloramineMgL: r.fill_chloramine,
  },
  version: r.version,
})

export async function listCustomers(trx: Knex.Transaction): Promise<Customer[]> {
  return trx('customers')
    .select(...CUSTOMER_COLUMNS)
    .orderBy('name')
}

export async function listSites(trx: Knex.Transaction, customerId?: CustomerId): Promise<Site[]> {
  const all = trx('sites').orderBy('name')
  return (await (customerId ? all.where('customer_id', customerId) : all)).map(toSite)
}

export async function findSite(trx: Knex.Transaction, id: SiteId): Promise<Site | undefined> {
  const row = await trx('sites').where({ id }).first()
  return row && toSite(row)
}

/** What was found of the fill water goes to the site's file; what was not tested stays as it is. */
export async function noteFillWater(trx: Knex.Transaction, id: SiteId, found: Partial<Site['fill']>): Promise<void> {
  const row = {
    ...(found.ph === undefined ? {} : { fill_ph: found.ph }),
    ...(found.khDH === undefined ? {} : { fill_kh: found.khDH }),
    ...(found.chlorineMgL === undefined ? {} : { fill_chlorine: found.chlorineMgL }),
    ...(found.chloramineMgL === undefined ? {} : { fill_chloramine: found.chloramineMgL }),
  }
  if (Object.keys(row).length > 0) await trx('sites').where({ id }).update(row)
}

export async function findCustomer(trx: Knex.Transaction, id: CustomerId): Promise<Customer | undefined> {
  return trx('customers')
    .where({ id })
    .first(...CUSTOMER_COLUMNS)
}

export async function customerExists(trx: Knex.Transaction, id: CustomerId): Promise<boolean> {
  return Boolean(await trx('customers').where({ id }).first('id'))
}
