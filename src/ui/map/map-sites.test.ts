import type { PondLine } from '@/server/ponds/ponds'
import { sitesOf } from './map-sites'

const pond = (id: string, over: object): PondLine =>
  ({
    id,
    siteId: 's1',
    siteName: 'Tarn',
    town: 'Ferrygate',
    lat: 1,
    lon: 2,
    water: null,
    risk: null,
    followUpsDue: 0,
    ...over,
  }) as unknown as PondLine

describe('sites on the map', () => {
  it('gather their ponds, and stand for what asks first for a decision', () => {
    const { sites, missing } = sitesOf([pond('a', { water: 'fine' }), pond('b', { water: 'act' })])
    expect(sites).toHaveLength(1)
    expect(sites[0]).toMatchObject({ name: 'Tarn', attention: 'act', ponds: [{ id: 'a' }, { id: 'b' }] })
    expect(missing).toBe(0)
  })
  it('counts those without a place', () => {
    const { sites, missing } = sitesOf([pond('a', {}), pond('b', { siteId: 's2', lat: null, lon: null })])
    expect(sites.map((s) => s.id)).toEqual(['s1'])
    expect(missing).toBe(1)
  })
})
