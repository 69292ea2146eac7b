import type { RowOf } from '@/server/platform/db/column-types'
import type { Knex } from 'knex'
import type { CustomerId, FirmId, PondId, SiteId } from '@/domain/shared/ids'
import { PondInput, type PondInContext } from '@/domain/ponds/pond'
import { keptConstants, type OwnConstants } from '@/domain/house-rules/house-constants'
import { OwnRules } from '@/domain/house-rules/house-rules'
import { SiteSurveyInput } from '@/domain/survey/site-survey'
import type { SiteSurvey } from '@/core/site-plan/site-survey'
import { updateVersioned } from '@/server/platform/db/versioned-update'

export interface PondMeasures {
  readonly volumeM3: number
  readonly areaM2: number
}

const columns = (input: PondInput, measures: PondMeasures) => {
  const { name, ...survey } = input
  return { name, survey: JSON.stringify(survey), volume_m3: measures.volumeM3, area_m2: measures.areaM2 }
}

export async function insertPond(
  trx: Knex.Transaction,
  firmId: FirmId,
  id: PondId,
  siteId: SiteId,
  input: PondInput,
  measures: PondMeasures,
): Promise<void> {
  await trx('ponds').insert({ id, firm_id: firmId, site_id: siteId, ...columns(input, measures) })
}

export async function updatePond(
  trx: Knex.Transaction,
  id: PondId,
  version: number,
  input: PondInput,
  measures: PondMeasures,
): Promise<void> {
  await updateVersioned(trx, 'ponds', id, version, columns(input, measures), async () => findPond(trx, id))
}

/** What a meter said of the pond's fill, and the volume that follows. */
export async function setMeteredFill(
  trx: Knex.Transaction,
  id: PondId,
  meteredFillM3: number,
  volumeM3: number,
): Promise<void> {
  await trx('ponds')
    .where({ id })
    .update({
      survey: trx.raw(`jsonb_set(survey, '{meteredFillM3}', to_jsonb(?::float8))`, [meteredFillM3]),
      volume_m3: volumeM3,
      version: trx.raw('version + 1'),
    })
}

export async function updateOwnRules(trx: Knex.Transaction, id: PondId, version: number, own: OwnRules): Promise<void> {
  await updateVersioned(trx, 'ponds', id, version, { own_rules: JSON.stringify(own) }, async () => findPond(trx, id))
}

export async function updateOwnConstants(
  trx: Knex.Transaction,
  id: PondId,
  version: number,
  own: OwnConstants,
): Promise<void> {
  await updateVersioned(trx, 'ponds', id, version, { own_constants: JSON.stringify(own) }, async () =>
    findPond(trx, id),
  )
}

/** Ponds with figures of their own. */
export async function listPondConstants(
  trx: Knex.Transaction,
): Promise<{ readonly name: string; readonly own: OwnConstants }[]> {
  const rows = await trx('ponds').whereRaw(`own_constants <> '{}'`).select('name', 'own_constants')
  return rows.map((row) => ({ name: row.name, own: keptOwn(row) }))
}

export async function updateSiteSurvey(
  trx: Knex.Transaction,
  id: PondId,
  version: number,
  survey: SiteSurvey,
): Promise<void> {
  await updateVersioned(trx, 'ponds', id, version, { site_survey: JSON.stringify(survey) }, async () =>
    findPond(trx, id),
  )
}

const keptOwn = (row: Pick<RowOf<'ponds'>, 'own_constants'>): OwnConstants =>
  keptConstants(row.own_constants as Readonly<Record<string, unknown>>)

const withContext = (trx: Knex.Transaction) =>
  trx('ponds as p')
    .join('sites as s', 's.id', 'p.site_id')
    .join('customers as c', 'c.id', 's.customer_id')
    .select('p.*', 's.name as site_name', 's.town', 'c.name as customer_name')

const toPond = (r: RowOf<'ponds'> & { site_name: string; town: string; customer_name: string }): PondInContext => ({
  ...PondInput.parse({ name: r.name, ...r.survey }),
  id: r.id,
  siteId: r.site_id,
  version: r.version,
  ownRules: OwnRules.parse(r.own_rules),
  ownConstants: keptOwn(r),
  siteSurvey: SiteSurveyInput.parse(r.site_survey),
  siteName: r.site_name,
  town: r.town,
  customerName: r.customer_name,
})

export async function findPond(trx: Knex.Transaction, id: PondId): Promise<PondInContext | undefined> {
  const row = await withContext(trx).where('p.id', id).first()
  return row && toPond(row)
}

export async function findPonds(trx: Knex.Transaction, ids: readonly PondId[]): Promise<PondInContext[]> {
  return (await withContext(trx).whereIn('p.id', ids)).map(toPond)
}

/** Ponds whose volume was measured in more than one way, the last changed first. */
export async function listMeasuredOften(trx: Knex.Transaction, most: number): Promise<PondInContext[]> {
  const rows = await withContext(trx)
    .whereRaw(
      `(jsonb_typeof(p.survey->'meteredFillM3') = 'number' or jsonb_array_length(coalesce(p.survey->'volumeTests', '[]')) > 0)`,
    )
    .orderBy('p.version', 'desc')
    .limit(most)
  return rows.map(toPond)
}

export interface PondSummary {
  readonly id: PondId
  readonly siteId: SiteId
  readonly name: string
  readonly siteName: string
  readonly town: string
  /** Where the site is; null while nobody gave it a place. */
  readonly lat: number | null
  readonly lon: number | null
  readonly customerName: string
  readonly use: PondInput['use']
  readonly volumeM3: number
  readonly areaM2: number
  readonly fishCount: number
}

/** One line per pond, without the survey: of all, or of a customer's sites. */
export async function listPonds(trx: Knex.Transaction, customerId?: CustomerId): Promise<PondSummary[]> {
  const all = trx('ponds as p')
    .join('sites as s', 's.id', 'p.site_id')
    .join('customers as c', 'c.id', 's.customer_id')
    .select(
      'p.id',
      'p.site_id',
      'p.name',
      'p.volume_m3',
      'p.area_m2',
      's.name as site_name',
      's.town',
      's.lat',
      's.lon',
      'c.name as customer_name',
      trx.raw(`p.survey->>'use' as use`),
    )
    .select(
      trx.raw(
        `(select coalesce(sum((f->>'count')::int), 0) from jsonb_array_elements(p.survey->'fish') f) as fish_count`,
      ),
    )
    .orderBy(['s.name', 'p.name'])
  return (await (customerId ? all.where('s.customer_id', customerId) : all)).map((r) => ({
    id: r.id,
    siteId: r.site_id,
    name: r.name,
    siteName: r.site_name,
    town: r.town,
    lat: r.lat,
    lon: r.lon,
    customerName: r.customer_name,
    use: r.use,
    volumeM3: r.volume_m3,
    areaM2: r.area_m2,
    fishCount: Number(r.fish_count),
  }))
}

/** A pond with where its site is. */
export interface PondPlace {
  readonly pondId: PondId
  readonly siteId: SiteId
  readonly siteName: string
  readonly lat: number | null
  readonly lon: number | null
}

/** Where every pond is. */
export async function listPondPlaces(trx: Knex.Transaction): Promise<PondPlace[]> {
  const rows = await trx('ponds as p')
    .join('sites as s', 's.id', 'p.site_id')
    .select('p.id', 's.id as site_id', 's.name', 's.lat', 's.lon')
    .orderBy(['s.name', 'p.name'])
  return rows.map((r) => ({ pondId: r.id, siteId: r.site_id, siteName: r.name, lat: r.lat, lon: r.lon }))
}

/** Ponds of a customer's sites. */
export async function listPondIdsOf(trx: Knex.Transaction, customerId: CustomerId): Promise<PondId[]> {
  const rows = await trx('ponds as p')
    .join('sites as s', 's.id', 'p.site_id')
    .where('s.customer_id', customerId)
    .orderBy(['s.name', 'p.name'])
    .select('p.id')
  return rows.map((r) => r.id)
}

export async function countPonds(trx: Knex.Transaction): Promise<number> {
  const row = await trx('ponds').count<{ count: string }[]>('id as count').first()
  return Number(row?.count ?? 0)
}

/** Names of a few ponds and of their sites. */
export async function listPondNames(
  trx: Knex.Transaction,
  ids: readonly PondId[],
): Promise<Map<PondId, { pondName: string; siteName: string }>> {
  const rows = await trx('ponds as p')
    .join('sites as s', 's.id', 'p.site_id')
    .whereIn('p.id', ids)
    .select('p.id', 'p.name', 's.name as site_name')
  return new Map(rows.map((r) => [r.id, { pondName: r.name, siteName: r.site_name }]))
}
