import type { Knex } from 'knex'
import type { ProposalState } from '@/domain/proposals/proposal'
import type { SearchHit } from '@/domain/search/search'

type Of<Kind extends SearchHit['kind']> = Extract<SearchHit, { kind: Kind }>

/** More of one kind would push the other kinds out of sight. */
const AT_MOST = 6

/** A word as it may stand anywhere in a text, whatever signs it holds. */
const anywhere = (word: string): string => `%${word.replace(/[\\%_]/g, '\\$&')}%`

/** All words stand somewhere in these columns taken together. */
const holding = (query: Knex.QueryBuilder, columns: readonly string[], words: readonly string[]) =>
  query.whereRaw(`lower(concat_ws(' ', ${columns.join(', ')})) like all(?)`, [words.map(anywhere)])

const POND_COLUMNS = ['p.name', 's.name', 's.town', 's.address', 'c.name']
const AT_POND = ['p.id as pond_id', 'p.name as pond_name', 's.name as site_name', 's.town'] as const

const ponds = (trx: Knex.Transaction) =>
  trx('ponds as p').join('sites as s', 's.id', 'p.site_id').join('customers as c', 'c.id', 's.customer_id')

interface AtPondRow {
  pond_id: string
  pond_name: string
  site_name: string
  town: string
}
const atPond = (r: AtPondRow) => ({ pondId: r.pond_id, pondName: r.pond_name, siteName: r.site_name, town: r.town })

export async function searchPonds(trx: Knex.Transaction, words: readonly string[]): Promise<Of<'pond'>[]> {
  const rows: (AtPondRow & { customer_name: string })[] = await holding(ponds(trx), POND_COLUMNS, words)
    .select(...AT_POND, 'c.name as customer_name')
    // what begins with the first word comes before what only holds it
    .orderByRaw('case when lower(s.name) like ? then 0 else 1 end, s.name, p.name', [anywhere(words[0]!).slice(1)])
    .limit(AT_MOST)
  return rows.map((r) => ({ kind: 'pond', id: r.pond_id, customerName: r.customer_name, ...atPond(r) }))
}

/**
 * Visits from today on, the next first; then those of the past, the last first. Words that the kinds of visits hold
 * choose the kind, the others the pond: so no text is put together for every visit there ever was.
 */
export async function searchVisits(
  trx: Knex.Transaction,
  words: readonly string[],
  today: string,
): Promise<Of<'visit'>[]> {
  const names: string[] = await trx('visits').distinct('job_name').pluck('job_name')
  const isOfKind = (word: string) => names.some((name) => name.toLowerCase().includes(word))
  const [ofKind, ofPond] = [words.filter(isOfKind), words.filter((word) => !isOfKind(word))]
  const kinds = names.filter((name) => ofKind.every((word) => name.toLowerCase().includes(word)))
  const order = ['v.day < ?, abs(v.day - ?::date), v.start_time', [today, today]] as const
  // the few that are shown are chosen before their places are looked up
  const first = trx('visits as v').whereNotIn('v.state', ['cancelled', 'given-up']).whereIn('v.job_name', kinds)
  if (ofPond.length > 0) void first.whereIn('v.pond_id', holding(ponds(trx), POND_COLUMNS, ofPond).select('p.id'))
  const rows: (AtPondRow & { id: string; job_name: string; day: string; state: string })[] = await ponds(trx)
    .join('visits as v', 'v.pond_id', 'p.id')
    .whereIn(
      'v.id',
      first
        .orderByRaw(...order)
        .limit(AT_MOST)
        .select('v.id'),
    )
    .select(...AT_POND, 'v.id', 'v.job_name', 'v.day', 'v.state')
    .orderByRaw(...order)
  return rows.map((r) => ({
    kind: 'visit',
    id: r.id,
    jobName: r.job_name,
    day: r.day,
    done: r.state === 'done',
    ...atPond(r),
  }))
}

export async function searchEquipment(trx: Knex.Transaction, words: readonly string[]): Promise<Of<'equipment'>[]> {
  const rows: (AtPondRow & { id: string; name: string })[] = await holding(
    // named by the first word at least: a pond's name alone would bring all that it has
    ponds(trx)
      .join('equipment as e', 'e.pond_id', 'p.id')
      .where('e.retired', false)
      .whereRaw('lower(e.name) like any(?)', [words.map(anywhere)]),
    [...POND_COLUMNS, 'e.name'],
    words,
  )
    .select(...AT_POND, 'e.id', 'e.name')
    .orderBy(['e.name', 's.name'])
    .limit(AT_MOST)
  return rows.map((r) => ({ kind: 'equipment', id: r.id, name: r.name, ...atPond(r) }))
}

/** @param names every plant by all its names in one text */
export async function searchPlants(
  trx: Knex.Transaction,
  words: readonly string[],
  names: readonly { key: string; name: string }[],
): Promise<Of<'plant'>[]> {
  const named = names.filter(({ name }) => words.some((word) => name.toLowerCase().includes(word)))
  if (named.length === 0) return []
  const rows: (AtPondRow & { key: string })[] = await holding(
    ponds(trx)
      .join('plant_patches as g', 'g.pond_id', 'p.id')
      .joinRaw('join (select unnest(?::text[]) as key, unnest(?::text[]) as name) as sp on sp.key = g.species', [
        named.map(({ key }) => key),
        named.map(({ name }) => name),
      ]),
    [...POND_COLUMNS, 'sp.name'],
    words,
  )
    .distinct(...AT_POND, 'sp.key')
    .orderBy(['s.name', 'p.name', 'sp.key'])
    .limit(AT_MOST)
  return rows.map((r) => ({ kind: 'plant', id: `${r.pond_id} ${r.key}`, speciesKey: r.key, ...atPond(r) }))
}

export async function searchProposals(trx: Knex.Transaction, words: readonly string[]): Promise<Of<'proposal'>[]> {
  const rows: (AtPondRow & { id: string; number: number; state: ProposalState })[] = await holding(
    ponds(trx).join('proposals as o', 'o.pond_id', 'p.id'),
    [...POND_COLUMNS, 'o.number::text'],
    words,
  )
    .select(...AT_POND, 'o.id', 'o.number', 'o.state')
    .orderBy('o.made_at', 'desc')
    .limit(AT_MOST)
  return rows.map((r) => ({ kind: 'proposal', id: r.id, number: r.number, state: r.state, ...atPond(r) }))
}

export async function searchCustomers(trx: Knex.Transaction, words: readonly string[]): Promise<Of<'customer'>[]> {
  const found = holding(
    trx('customers as c').leftJoin('sites as s', 's.customer_id', 'c.id').groupBy('c.id', 'c.name'),
    ['c.name', 'c.email', 'c.phone', 's.name', 's.town', 's.address'],
    words,
  )
  const rows: { id: string; name: string; sites: (string | null)[] }[] = await found
    .select('c.id', 'c.name', trx.raw('array_agg(s.name order by s.name) as sites'))
    .orderBy('c.name')
    .limit(AT_MOST)
  return rows.map((r) => ({ kind: 'customer', id: r.id, name: r.name, sites: r.sites.filter((s) => s !== null) }))
}

export async function searchStock(trx: Knex.Transaction, words: readonly string[]): Promise<Of<'stock'>[]> {
  const rows: { id: string; name: string; place: string }[] = await holding(
    trx('stock_items as i'),
    ['i.name', 'i.place'],
    words,
  )
    .select('i.id', 'i.name', 'i.place')
    .orderBy('i.name')
    .limit(AT_MOST)
  return rows.map((r) => ({ kind: 'stock', ...r }))
}
