import knexFactory from 'knex'
import { SearchQuery } from '@/domain/search/search'
import type { SearchHit } from '@/domain/search/search'
import { inFirm } from '@/server/platform/db/firm-transaction'
import { closeDatabase } from '@/server/platform/db/connection'
import { addEquipment } from '@/server/equipment/tasks'
import { search } from '@/server/search/search'
import { addPond } from '@/server/ponds/ponds'
import { addPatch } from '@/server/plants/patches'
import { addStockItem } from '@/server/stores/stores'
import { makeFirm, newPond } from '../fixtures/firm'

afterAll(closeDatabase)

const place = (customer: string, site: string, pond: string) => {
  const made = newPond({ name: pond })
  return {
    ...made,
    customer: { kind: 'new' as const, customer: { name: customer, email: '', phone: '' } },
    site: { kind: 'new' as const, site: { ...(made.site as { site: object }).site, name: site } },
  } as ReturnType<typeof newPond>
}
const named = (hits: readonly SearchHit[], kind: SearchHit['kind']) =>
  hits.flatMap((hit) => {
    if (hit.kind !== kind) return []
    return 'pondName' in hit ? `${hit.siteName}: ${hit.pondName}` : hit.name
  })

describe('a search', () => {
  it('finds what holds all words in any order, and of what begins with them first', async () => {
    const { actors } = await makeFirm('Search order')
    await addPond(actors.owner, place('Bream family', 'Old Tarn House', 'Mill pool'))
    await addPond(actors.owner, place('Tarnley', 'Tarn Lodge', 'Mill pool'))
    await addPond(actors.owner, place('Wick', 'Wick End', 'Pond 100 % clear'))
    expect(named(await search(actors.office, 'MILL tarn'), 'pond')).toEqual([
      'Old Tarn House: Mill pool',
      'Tarn Lodge: Mill pool',
    ])
    expect(named(await search(actors.office, 'tarn'), 'pond')[0]).toBe('Tarn Lodge: Mill pool')
    expect(named(await search(actors.office, 'bream'), 'customer')).toEqual(['Bream family'])
    // signs that a database reads as "anything" are only signs
    expect(named(await search(actors.office, '100 %'), 'pond')).toEqual(['Wick End: Pond 100 % clear'])
    expect(await search(actors.office, '_')).toEqual([])
  })
  it('finds equipment, plants and stores by their own names', async () => {
    const { actors } = await makeFirm('Search kinds')
    const pondId = await addPond(actors.owner, place('Wick', 'Wick End', 'Pool'))
    await addEquipment(actors.office, pondId, {
      kind: 'uv-lamp',
      name: 'Clarifier in the vault',
      fittedOn: '2026-01-02',
      everyDays: 365,
      doneOn: null,
      retired: false,
      warrantyUntil: null,
    })
    await addPatch(actors.owner, pondId, {
      patch: { place: 'pond', species: 'iris-pseudacorus', xM: 1, yM: 1, plantedOn: '2026-04-01' },
      count: 2,
    } as Parameters<typeof addPatch>[2])
    expect(named(await search(actors.technician, 'clarifier wick'), 'equipment')).toEqual(['Wick End: Pool'])
    // its pond alone does not bring all that stands there
    expect(named(await search(actors.technician, 'wick'), 'equipment')).toEqual([])
    expect(named(await search(actors.technician, 'pseudacorus'), 'plant')).toEqual(['Wick End: Pool'])
    await addStockItem(actors.office, {
      name: 'Lamp 36 W',
      kind: 'part',
      unit: 'piece',
      least: 1,
      productKey: null,
      equipmentKind: 'uv-lamp',
      speciesKey: null,
      place: 'Shelf 3',
    } as Parameters<typeof addStockItem>[1])
    expect(named(await search(actors.technician, 'shelf lamp'), 'stock')).toEqual(['Lamp 36 W'])
  })
  it('shows a technician no customers and no proposals', async () => {
    const { actors } = await makeFirm('Search rights')
    await addPond(actors.owner, place('Wick', 'Wick End', 'Pool'))
    expect((await search(actors.technician, 'wick')).map((h) => h.kind)).toEqual(['pond'])
    expect((await search(actors.office, 'wick')).map((h) => h.kind)).toEqual(['pond', 'customer'])
  })
  it('sees nothing of another firm', async () => {
    const [one, two] = [await makeFirm('Search one'), await makeFirm('Search two')]
    await addPond(one.actors.owner, place('Wick', 'Wick End', 'Pool'))
    expect(await search(two.actors.owner, 'wick')).toEqual([])
  })
  it('answers within half a second at 2,000 sites with 20,000 visits, whatever else the machine does', async () => {
    const { actors, firmId, crewId } = await makeFirm('Search many')
    await addPond(actors.owner, place('Wick', 'Wick End', 'Pool'))
    await inFirm(firmId, async (trx) => {
      await trx.raw(
        `insert into customers (id, firm_id, name) select gen_random_uuid(), ?, 'Customer ' || i from generate_series(1, 2000) i`,
        [firmId],
      )
      await trx.raw(
        `insert into sites (id, firm_id, customer_id, name, station_id, town)
         select gen_random_uuid(), firm_id, id, 'Site of ' || name, 'ferrygate', 'Ferrygate' from customers where name like 'Customer %'`,
      )
      await trx.raw(
        `insert into ponds (id, firm_id, site_id, name, survey, volume_m3, area_m2)
         select gen_random_uuid(), s.firm_id, s.id, 'Pond', (select survey from ponds limit 1), 9, 9
         from sites s where s.name like 'Site of %'`,
      )
      await trx.raw(
        `insert into visits (id, firm_id, pond_id, crew_id, state, day, start_time, planned_minutes, job_key, job_name, job, quantities, duration)
         select gen_random_uuid(), p.firm_id, p.id, ?, 'done', date '2026-01-05' + i * 30, '08:00', 60, 'routine', 'Routine visit', '{"steps":[]}', '{}', '{}'
         from ponds p, generate_series(1, 10) i where p.name = 'Pond'`,
        [crewId],
      )
    })
    // what autovacuum does by itself some time after so much was written
    const owner = knexFactory({ client: 'pg', connection: process.env.OWNER_DATABASE_URL })
    await owner.raw('analyze customers, sites, ponds, visits')
    const fastest = async (q: string) => {
      const times: number[] = []
      // other tests take their share of the machine: the fastest of some is what the search itself takes
      for (let i = 0; i < 4; i++) {
        const began = performance.now()
        await search(actors.office, q)
        times.push(performance.now() - began)
      }
      return Math.min(...times)
    }
    const times: Record<string, number> = {}
    for (const q of ['customer 1999', 'site of customer 7', 'ferrygate', 'routine visit 12', 'nothing at all'])
      times[q] = await fastest(q)
    // other tests share the tables
    for (const table of ['visits', 'ponds', 'sites', 'customers']) await owner(table).where('firm_id', firmId).delete()
    await owner.destroy()
    for (const [q, ms] of Object.entries(times)) expect({ q, ms: ms < 500 || ms }).toEqual({ q, ms: true })
  })
})

describe('what is looked for', () => {
  it('is some text of no more than a line, without signs that no database keeps', () => {
    expect(SearchQuery.parse({ q: '  tarn\u0000 ' })).toEqual({ q: 'tarn' })
    expect(SearchQuery.safeParse({ q: '   ' }).success).toBe(false)
    expect(SearchQuery.safeParse({ q: 'x'.repeat(101) }).success).toBe(false)
  })
})
