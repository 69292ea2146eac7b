import type { Knex } from 'knex'
import type { ProposalState } from '@/domain/proposals/proposal'
import type { SearchHit } from '@/domain/search/search'

type Of<Kind extends SearchHit['kind']> = Extract<SearchHit, { kind: Kind }>

/** More of one kind would push the other kinds out of sight. */
const AT_MOST = 6

/** A pond with all the text that it is found by, in small letters. */
export interface Place {
  readonly pondId: string
  readonly pondName: string
  readonly siteName: string
  readonly town: string
  readonly customerName: string
  readonly text: string
}
type Places = readonly Place[]

/** Every pond of the firm by the names of its sites: read once, what stands at them is then found by them. */
export async function readPlaces(trx: Knex.Transaction): Promise<Place[]> {
  const rows: (Omit<Place, 'text'> & { address: string })[] = await trx('ponds as p')
    .join('sites as s', 's.id', 'p.site_id')
    .join('customers as c', 'c.id', 's.customer_id')
    .select('p.id as pondId', 'p.name as pondName', 's.name as siteName', 's.town', 's.address')
    .select('c.name as customerName')
    .orderBy(['s.name', 'p.name'])
  return rows.map(({ address, ...row }) => ({
    ...row,
    text: [row.pondName, row.siteName, row.town, address, row.customerName].join(' ').toLowerCase(),
  }))
}

/** A word as it may stand anywhere in a text, whatever signs it holds. */
const anywhere = (word: string): string => `%${word.replace(/[\\%_]/g, '\\$&')}%`

const holds = (text: string, words: readonly string[]): boolean => words.every((word) => text.includes(word))

const atPond = ({ pondId, pondName, siteName, town }: Place) => ({ pondId, pondName, siteName, town })

/** Rows that stand at ponds, each with its pond, of which all words stand in its own text and its pond's. */
function atPlaces<Row extends { readonly pond_id: string }>(
  places: Places,
  rows: readonly Row[],
  words: readonly string[],
  own: (row: Row) => string,
): (Row & { readonly at: Place })[] {
  const byId = new Map(places.map((place) => [place.pondId, place]))
  return rows
    .flatMap((row) => {
      const at = byId.get(row.pond_id)
      return at && holds(`${at.text} ${own(row).toLowerCase()}`, words) ? [{ ...row, at }] : []
    })
    .slice(0, AT_MOST)
}

/** What begins with the first word comes before what only holds it. */
export function searchPonds(places: Places, words: readonly string[]): Of<'pond'>[] {
  const found = places.filter(({ text }) => holds(text, words))
  const begins = (place: Place) => place.siteName.toLowerCase().startsWith(words[0]!)
  return [...found.filter(begins), ...found.filter((place) => !begins(place))]
    .slice(0, AT_MOST)
    .map((place) => ({ kind: 'pond', id: place.pondId, customerName: place.customerName, ...atPond(place) }))
}

/**
 * Visits from today on, the next first; then those of the past, the last first. Words that the kinds of visits hold
 * choose the kind, the others the pond: so no text is put together for every visit there ever was.
 */
export async function searchVisits(
  trx: Knex.Transaction,
  places: Places,
  words: readonly string[],
  today: string,
): Promise<Of<'visit'>[]> {
  const names: string[] = await trx('visits').distinct('job_name').pluck('job_name')
  const isOfKind = (word: string) => names.some((name) => name.toLowerCase().includes(word))
  const [ofKind, ofPond] = [words.filter(isOfKind), words.filter((word) => !isOfKind(word))]
  const kinds = names.filter((name) => holds(name.toLowerCase(), ofKind))
  const found = places.filter(({ text }) => holds(text, ofPond))
  if (kinds.length === 0 || found.length === 0) return []
  const some = () => {
    const query = trx('visits').whereNotIn('state', ['cancelled', 'given-up']).limit(AT_MOST)
    if (kinds.length < names.length) void query.whereIn('job_name', kinds)
    if (found.length < places.length) void query.whereRaw('pond_id = any(?::uuid[])', [found.map((p) => p.pondId)])
    return query.select('pond_id', 'id', 'job_name', 'day', 'state')
  }
  const rows: { pond_id: string; id: string; job_name: string; day: string; state: string }[] = [
    ...(await some().where('day', '>=', today).orderBy(['day', 'start_time'])),
    ...(await some()
      .where('day', '<', today)
      .orderBy([{ column: 'day', order: 'desc' }, 'start_time'])),
  ]
  return atPlaces(found, rows, [], () => '').map(({ id, job_name, day, state, at }) => ({
    kind: 'visit',
    id,
    jobName: job_name,
    day,
    done: state === 'done',
    ...atPond(at),
  }))
}

/** Named by one of the words at least: a pond's name alone would bring all that it has. */
export async function searchEquipment(
  trx: Knex.Transaction,
  places: Places,
  words: readonly string[],
): Promise<Of<'equipment'>[]> {
  const rows: { pond_id: string; id: string; name: string }[] = await trx('equipment')
    .where('retired', false)
    .whereRaw('lower(name) like any(?)', [words.map(anywhere)])
    .select('pond_id', 'id', 'name')
    .orderBy(['name', 'id'])
  return atPlaces(places, rows, words, ({ name }) => name).map(({ id, name, at }) => ({
    kind: 'equipment',
    id,
    name,
    ...atPond(at),
  }))
}

/** @param names every plant by all its names in one text */
export async function searchPlants(
  trx: Knex.Transaction,
  places: Places,
  words: readonly string[],
  names: readonly { key: string; name: string }[],
): Promise<Of<'plant'>[]> {
  const named = new Map(
    names
      .filter(({ name }) => words.some((word) => name.toLowerCase().includes(word)))
      .map(({ key, name }) => [key, name]),
  )
  if (named.size === 0) return []
  const rows: { pond_id: string; species: string }[] = await trx('plant_patches')
    .whereIn('species', [...named.keys()])
    .distinct('pond_id', 'species')
    .orderBy(['species', 'pond_id'])
  return atPlaces(places, rows, words, ({ species }) => named.get(species)!).map(({ species, at }) => ({
    kind: 'plant',
    id: `${at.pondId} ${species}`,
    speciesKey: species,
    ...atPond(at),
  }))
}

/** The last made first. */
export async function searchProposals(
  trx: Knex.Transaction,
  places: Places,
  words: readonly string[],
): Promise<Of<'proposal'>[]> {
  const rows: { pond_id: string; id: string; number: number; state: ProposalState }[] = await trx('proposals')
    .select('pond_id', 'id', 'number', 'state')
    .orderBy('made_at', 'desc')
  return atPlaces(places, rows, words, ({ number }) => String(number)).map(({ id, number, state, at }) => ({
    kind: 'proposal',
    id,
    number,
    state,
    ...atPond(at),
  }))
}

/** All words stand somewhere in these columns taken together. */
const holding = (query: Knex.QueryBuilder, columns: readonly string[], words: readonly string[]) =>
  query.whereRaw(`lower(concat_ws(' ', ${columns.join(', ')})) like all(?)`, [words.map(anywhere)])

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
